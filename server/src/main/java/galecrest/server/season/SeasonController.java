package galecrest.server.season;

import galecrest.core.season.StretchRule;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What lies between events, over HTTP. */
@RestController
@RequestMapping("/api")
class SeasonController {
    private final TurnaroundService turnarounds;
    private final SpareService spares;
    private final StretchService stretches;

    SeasonController(TurnaroundService turnarounds, SpareService spares, StretchService stretches) {
        this.turnarounds = turnarounds;
        this.spares = spares;
        this.stretches = stretches;
    }

    @GetMapping("/events/{id}/turnarounds")
    List<TurnaroundResponse> turnarounds(@PathVariable String id) {
        return turnarounds.before(id);
    }

    @PostMapping("/events/{id}/turnarounds")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void lay(@PathVariable String id, @RequestBody TurnaroundRequest form) {
        turnarounds.lay(id, form);
    }

    @GetMapping("/events/{id}/spares")
    List<SpareResponse> spares(@PathVariable String id) {
        return spares.of(id);
    }

    @GetMapping("/events/{id}/stretches")
    List<StretchResponse> stretches(@PathVariable String id) {
        return stretches.around(id);
    }

    @GetMapping("/stretch-rule")
    StretchRuleRequest rule() {
        StretchRule rule = stretches.rule();
        return new StretchRuleRequest(rule.mostDays(), rule.mostNights(), rule.mostHours(), rule.eventHours());
    }

    @PutMapping("/stretch-rule")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(@RequestBody StretchRuleRequest form) {
        stretches.keep(form);
    }
}
