package galecrest.server.decision;

import galecrest.server.AddedResponse;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class CarDecisionController {
    private final CarDecisionService decisions;

    CarDecisionController(CarDecisionService decisions) {
        this.decisions = decisions;
    }

    @GetMapping("/builds/{id}/decisions")
    List<CarDecisionResponse> of(@PathVariable String id) {
        return decisions.of(id);
    }

    @PostMapping("/builds/{id}/decisions")
    AddedResponse ask(@PathVariable String id, @RequestBody CarDecisionRequest form) {
        return new AddedResponse(decisions.ask(id, form));
    }

    @PostMapping("/works/{id}/ask")
    AddedResponse askAt(@PathVariable String id, @RequestBody AskRequest form) {
        return new AddedResponse(decisions.askAt(id, form.question()));
    }

    @PutMapping("/decisions/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void decide(@PathVariable String id, @RequestBody DecideRequest form) {
        decisions.decide(id, form);
    }

    @DeleteMapping("/decisions/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        decisions.remove(id);
    }
}
