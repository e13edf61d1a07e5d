package galecrest.server.history;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class HistoryController {
    private final HistoryService history;

    HistoryController(HistoryService history) {
        this.history = history;
    }

    /** Finished builds by a part of their number, name or customer. */
    @GetMapping("/history")
    List<PutAwayResponse> found(@RequestParam(defaultValue = "") String text) {
        return history.found(text);
    }

    @PostMapping("/builds/{id}/put-away")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putAway(@PathVariable String id) {
        history.putAway(id);
    }

    @PostMapping("/builds/{id}/take-out")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeOut(@PathVariable String id) {
        history.takeOut(id);
    }
}
