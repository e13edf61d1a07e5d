package galecrest.core.tyre;

import java.time.Duration;
import java.time.Instant;

/**
 * A session of an event, or a stint of a race, that a set of tyres serves.
 *
 * @param start when it begins
 */
public record Session(String id, String name, Kind kind, Instant start, Duration length) {
    /** What it is for. The weights are a judgement of ours. */
    public enum Kind {
        TEST(1),
        PRACTICE(2),
        QUALIFYING(10),
        RACE(8);

        private final int weight;

        Kind(int weight) {
            this.weight = weight;
        }

        /** Whether the grid or the race is decided in it. */
        public boolean decides() {
            return this == QUALIFYING || this == RACE;
        }

        /** How much the right set is worth in it. */
        public int weight() {
            return weight;
        }
    }

    public Session {
        if (length.isNegative() || length.isZero()) {
            throw new IllegalArgumentException(name + " ends before it begins.");
        }
    }

    public Instant end() {
        return start.plus(length);
    }

    /** Whether both go on at some moment. */
    public boolean overlaps(Session other) {
        return start.isBefore(other.end()) && other.start.isBefore(end());
    }
}
