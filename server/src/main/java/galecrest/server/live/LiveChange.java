package galecrest.server.live;

import java.time.Instant;
import java.util.List;

/**
 * What every open screen hears of a change.
 *
 * @param moved how many pieces of work moved in the plan
 * @param margins changed margins in words, the worst first
 * @param toTell names of those for whom something moved
 */
public record LiveChange(
        long change, Instant at, String actor, String summary, int moved, List<String> margins, List<String> toTell) {
    /** The same for who is told what has happened, but not what it does to a plan that is not published. */
    LiveChange withoutEffects() {
        return new LiveChange(change, at, actor, summary, 0, List.of(), List.of());
    }
}
