package galecrest.server.gate;

import galecrest.core.build.Gate;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Gates over HTTP. */
@RestController
@RequestMapping("/api")
class GateController {
    private final GateService gates;
    private final GateLineService lines;

    GateController(GateService gates, GateLineService lines) {
        this.gates = gates;
        this.lines = lines;
    }

    @GetMapping("/builds/{id}/gates")
    List<GateResponse> of(@PathVariable String id) {
        return gates.of(id);
    }

    @PostMapping("/builds/{id}/gates/{gate}/pass")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void pass(@PathVariable String id, @PathVariable Gate gate, @RequestBody GatePassRequest form) {
        gates.pass(id, gate, form);
    }

    @PutMapping("/builds/{id}/signatures/{key}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void sign(@PathVariable String id, @PathVariable String key) {
        gates.sign(id, key);
    }

    @DeleteMapping("/builds/{id}/signatures/{key}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void unsign(@PathVariable String id, @PathVariable String key) {
        gates.unsign(id, key);
    }

    @GetMapping("/gate-lines")
    GateLinesResponse house(@RequestParam(defaultValue = "") String discipline) {
        return lines.house(discipline);
    }

    @PutMapping("/gate-lines")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeHouse(@RequestParam(defaultValue = "") String discipline, @RequestBody GateLinesRequest form) {
        lines.changeHouse(discipline, form);
    }

    @DeleteMapping("/gate-lines")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void usual(@RequestParam(defaultValue = "") String discipline) {
        lines.usual(discipline);
    }

    @GetMapping("/builds/{id}/gate-lines")
    GateLinesResponse car(@PathVariable String id) {
        return lines.car(id);
    }

    @PutMapping("/builds/{id}/gate-lines")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeCar(@PathVariable String id, @RequestBody GateLinesRequest form) {
        lines.changeCar(id, form);
    }

    @DeleteMapping("/builds/{id}/gate-lines")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void asTheHouse(@PathVariable String id) {
        lines.asTheHouse(id);
    }
}
