package galecrest.server.rehearse;

import galecrest.server.AddedResponse;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/rehearsals")
class RehearsalController {
    private final RehearsalService rehearsals;

    RehearsalController(RehearsalService rehearsals) {
        this.rehearsals = rehearsals;
    }

    @PostMapping
    AddedResponse begin(@RequestBody RehearsalRequest form) {
        return new AddedResponse(rehearsals.begin(form));
    }

    @GetMapping("/{id}")
    RehearsalResponse look(@PathVariable String id) {
        return rehearsals.look(id);
    }

    @PostMapping("/{id}/play")
    RehearsalResponse play(@PathVariable String id, @RequestBody PlayRequest form) {
        return rehearsals.play(id, form);
    }
}
