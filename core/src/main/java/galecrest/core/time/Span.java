package galecrest.core.time;

import java.time.Duration;
import java.time.Instant;

/** A stretch of elapsed time, from (included) to (excluded); never empty. */
public record Span(Instant from, Instant to) {
    public Span {
        if (!from.isBefore(to)) {
            throw new IllegalArgumentException("A span must end after it starts, not from " + from + " to " + to + ".");
        }
    }

    public boolean overlaps(Span other) {
        return from.isBefore(other.to) && other.from.isBefore(to);
    }

    public Duration length() {
        return Duration.between(from, to);
    }
}
