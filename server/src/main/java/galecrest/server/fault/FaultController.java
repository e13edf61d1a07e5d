package galecrest.server.fault;

import galecrest.server.AddedResponse;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class FaultController {
    private final FaultService faults;

    FaultController(FaultService faults) {
        this.faults = faults;
    }

    @GetMapping("/builds/{id}/faults")
    List<FaultResponse> of(@PathVariable String id) {
        return faults.of(id);
    }

    @PostMapping("/builds/{id}/faults")
    AddedResponse note(@PathVariable String id, @RequestBody FaultRequest form) {
        return new AddedResponse(faults.note(id, form));
    }

    @PostMapping("/faults/{id}/checks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void check(@PathVariable String id, @RequestBody FaultCheckRequest form) {
        faults.check(id, form);
    }

    @PostMapping("/faults/{id}/solved")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void solved(@PathVariable String id, @RequestBody SolvedRequest form) {
        faults.solved(id, form);
    }
}
