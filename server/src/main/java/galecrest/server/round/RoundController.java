package galecrest.server.round;

import galecrest.server.AddedResponse;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Rounds of work. */
@RestController
@RequestMapping("/api")
class RoundController {
    private final RoundService rounds;

    RoundController(RoundService rounds) {
        this.rounds = rounds;
    }

    @PostMapping("/builds/{id}/rounds")
    AddedResponse addRound(@PathVariable String id, @RequestBody RoundRequest form) {
        return new AddedResponse(rounds.add(id, form));
    }

    @PutMapping("/rounds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeRound(@PathVariable String id, @RequestBody RoundRequest form) {
        rounds.change(id, form);
    }

    @DeleteMapping("/rounds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeRound(@PathVariable String id) {
        rounds.remove(id);
    }
}
