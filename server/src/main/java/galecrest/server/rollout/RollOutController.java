package galecrest.server.rollout;

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

/** Roll-outs over HTTP. */
@RestController
@RequestMapping("/api")
class RollOutController {
    private final RollOutService rollOuts;
    private final FindingService findings;
    private final LiveLimits live;

    RollOutController(RollOutService rollOuts, FindingService findings, LiveLimits live) {
        this.rollOuts = rollOuts;
        this.findings = findings;
        this.live = live;
    }

    @GetMapping("/builds/{id}/rollout")
    RollOutResponse of(@PathVariable String id) {
        return rollOuts.of(id);
    }

    @GetMapping("/builds/{id}/rollout/live")
    List<LiveResponse> live(@PathVariable String id) {
        return live.live(id);
    }

    @PostMapping("/builds/{id}/rollout/attempts")
    AddedResponse open(@PathVariable String id, @RequestBody OpenAttemptRequest form) {
        return new AddedResponse(rollOuts.open(id, form));
    }

    @DeleteMapping("/rollout-attempts/{attempt}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@PathVariable String attempt) {
        rollOuts.drop(attempt);
    }

    @PutMapping("/rollout-attempts/{attempt}/ticks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tick(@PathVariable String attempt, @RequestBody TickRequest form) {
        rollOuts.tick(attempt, form);
    }

    @PutMapping("/rollout-attempts/{attempt}/names")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void names(@PathVariable String attempt, @RequestBody NamesRequest form) {
        rollOuts.names(attempt, form);
    }

    @PostMapping("/rollout-attempts/{attempt}/go")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void go(@PathVariable String attempt) {
        rollOuts.go(attempt);
    }

    @PostMapping("/rollout-attempts/{attempt}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@PathVariable String attempt, @RequestBody EndRequest form) {
        rollOuts.end(attempt, form);
    }

    @PostMapping("/builds/{id}/rollout/findings")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void find(@PathVariable String id, @RequestBody FindingRequest form) {
        findings.find(id, form);
    }

    @PutMapping("/rollout-findings/{finding}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putBefore(@PathVariable String finding, @RequestBody PutBeforeRequest form) {
        findings.putBefore(finding, form);
    }

    @PostMapping("/builds/{id}/fires")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void fire(@PathVariable String id, @RequestBody FireRequest form) {
        rollOuts.fire(id, form);
    }
}
