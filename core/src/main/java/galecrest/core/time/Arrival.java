package galecrest.core.time;

import java.time.Instant;

/** When something outside is expected: at the earliest, most likely, at the latest. */
public record Arrival(Instant low, Instant likely, Instant high) {
    public Arrival {
        if (likely.isBefore(low) || high.isBefore(likely)) {
            throw new IllegalArgumentException(
                    "The arrival must be earliest ≤ likely ≤ latest, not " + low + ", " + likely + ", " + high + ".");
        }
    }

    public static Arrival exactly(Instant at) {
        return new Arrival(at, at, at);
    }
}
