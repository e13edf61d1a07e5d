package galecrest.server.step;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The steps of a roll-out over HTTP. */
@RestController
@RequestMapping("/api")
class StepController {
    private final RollOutStepService steps;

    StepController(RollOutStepService steps) {
        this.steps = steps;
    }

    @GetMapping("/rollout-steps")
    StepsResponse house(@RequestParam(defaultValue = "") String discipline) {
        return steps.house(discipline);
    }

    @PutMapping("/rollout-steps")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeHouse(@RequestParam(defaultValue = "") String discipline, @RequestBody StepsRequest form) {
        steps.changeHouse(discipline, form);
    }

    @DeleteMapping("/rollout-steps")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void usual(@RequestParam(defaultValue = "") String discipline) {
        steps.usual(discipline);
    }

    @GetMapping("/builds/{id}/rollout-steps")
    StepsResponse car(@PathVariable String id) {
        return steps.car(id);
    }

    @PutMapping("/builds/{id}/rollout-steps")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeCar(@PathVariable String id, @RequestBody StepsRequest form) {
        steps.changeCar(id, form);
    }

    @DeleteMapping("/builds/{id}/rollout-steps")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void asTheHouse(@PathVariable String id) {
        steps.asTheHouse(id);
    }
}
