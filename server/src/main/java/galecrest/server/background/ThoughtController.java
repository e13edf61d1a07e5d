package galecrest.server.background;

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
class ThoughtController {
    private final ThoughtService thoughts;

    ThoughtController(ThoughtService thoughts) {
        this.thoughts = thoughts;
    }

    @GetMapping("/odds")
    OddsResponse odds() {
        return new OddsResponse(thoughts.odds().orElse(null));
    }

    @GetMapping("/thoughts")
    List<ThoughtResponse> asked() {
        return thoughts.asked().stream().map(ThoughtController::view).toList();
    }

    private static ThoughtResponse view(Thought thought) {
        var told = thought.result() != null ? thought.result() : thought.progress();
        return new ThoughtResponse(
                thought.id(),
                thought.kind(),
                thought.subject(),
                thought.seconds(),
                thought.askedBy(),
                thought.askedAt(),
                thought.state(),
                thought.kind() == Thought.Kind.HARDER ? Telling.as(told, AnalysisWorker.Progress.class) : null,
                thought.kind() == Thought.Kind.RESCUE ? Telling.as(told, RescueView.class) : null,
                thought.kind() == Thought.Kind.PROMISE ? Telling.as(told, PromiseView.class) : null);
    }

    @PostMapping("/thoughts/harder")
    AddedResponse harder(@RequestBody HarderRequest form) {
        return new AddedResponse(thoughts.harder(form.seconds()));
    }

    @PostMapping("/thoughts/rescue")
    AddedResponse rescue(@RequestBody RescueRequest form) {
        return new AddedResponse(thoughts.rescue(form.commitmentId()));
    }

    /** Asks when a new build from a template would be ready. */
    @PostMapping("/thoughts/promise")
    AddedResponse promise(@RequestBody PromiseRequest form) {
        return new AddedResponse(thoughts.promise(form.template()));
    }

    @PostMapping("/thoughts/{id}/stop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop(@PathVariable String id) {
        thoughts.stop(id);
    }

    @PostMapping("/thoughts/{id}/try")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void attempt(@PathVariable String id, @RequestBody TryRequest form) {
        thoughts.attempt(id, form.index());
    }
}
