package galecrest.core.rollout;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A try at a step.
 *
 * @param step its key
 * @param driver who drives or sits in it; empty until somebody says so
 * @param looker who looks; empty until somebody says so
 * @param ticks the checks that somebody has ticked
 * @param went when both said go
 * @param ended when it was over
 * @param done whether it ended as it should; else it was stopped
 * @param stop why the logger asks to stop; empty while all is within its limits
 * @param seen what was seen, in the words of who ended it
 */
public record Attempt(
        String id,
        String step,
        Optional<String> driver,
        Optional<String> looker,
        List<Tick> ticks,
        Optional<Instant> went,
        Optional<Instant> ended,
        boolean done,
        Optional<String> stop,
        String seen) {
    /**
     * A check that somebody made.
     *
     * @param check in the words of the step
     * @param after whether it is one of those after the step
     */
    public record Tick(String check, boolean after, String by, Instant at) {}

    public Attempt {
        ticks = List.copyOf(ticks);
    }

    public boolean isOpen() {
        return ended.isEmpty();
    }

    /** Whether the car runs or drives now. */
    public boolean goesOn() {
        return went.isPresent() && ended.isEmpty();
    }

    /** Whether a check of the step has been ticked in this try. */
    public boolean isTicked(String check, boolean after) {
        return ticks.stream().anyMatch(t -> t.after() == after && t.check().equals(check));
    }
}
