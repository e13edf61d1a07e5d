package galecrest.server.thinking;

import java.util.List;
import org.jspecify.annotations.Nullable;
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

    /** The newest odds, absent until the first are ready. */
    record OddsAnswer(@Nullable OddsView odds) {}

    record HarderForm(int seconds) {}

    record RescueForm(String commitmentId) {}

    /** Which of the tried moves of a rescue to try. */
    record TryForm(int index) {}

    record Asked(String id) {}

    /** Thinking that was asked for; {@code harder} or {@code rescue} by its kind. */
    record ThoughtView(
            String id,
            Thought.Kind kind,
            String subject,
            int seconds,
            String askedBy,
            java.time.Instant askedAt,
            Thought.State state,
            Thinker.@Nullable Progress harder,
            @Nullable RescueView rescue,
            @Nullable PromiseView promise) {}

    @GetMapping("/odds")
    OddsAnswer odds() {
        return new OddsAnswer(thoughts.odds().orElse(null));
    }

    @GetMapping("/thoughts")
    List<ThoughtView> asked() {
        return thoughts.asked().stream().map(ThoughtController::view).toList();
    }

    private static ThoughtView view(Thought thought) {
        var told = thought.result() != null ? thought.result() : thought.progress();
        return new ThoughtView(
                thought.id(),
                thought.kind(),
                thought.subject(),
                thought.seconds(),
                thought.askedBy(),
                thought.askedAt(),
                thought.state(),
                thought.kind() == Thought.Kind.HARDER ? Telling.as(told, Thinker.Progress.class) : null,
                thought.kind() == Thought.Kind.RESCUE ? Telling.as(told, RescueView.class) : null,
                thought.kind() == Thought.Kind.PROMISE ? Telling.as(told, PromiseView.class) : null);
    }

    @PostMapping("/thoughts/harder")
    Asked harder(@RequestBody HarderForm form) {
        return new Asked(thoughts.harder(form.seconds()));
    }

    @PostMapping("/thoughts/rescue")
    Asked rescue(@RequestBody RescueForm form) {
        return new Asked(thoughts.rescue(form.commitmentId()));
    }

    record PromiseForm(String template) {}

    /** Asks when a new build from a template would be ready. */
    @PostMapping("/thoughts/promise")
    Asked promise(@RequestBody PromiseForm form) {
        return new Asked(thoughts.promise(form.template()));
    }

    @PostMapping("/thoughts/{id}/stop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop(@PathVariable String id) {
        thoughts.stop(id);
    }

    @PostMapping("/thoughts/{id}/try")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void attempt(@PathVariable String id, @RequestBody TryForm form) {
        thoughts.attempt(id, form.index());
    }
}
