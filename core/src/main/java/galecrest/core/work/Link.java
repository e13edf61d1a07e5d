package galecrest.core.work;

import galecrest.core.time.Minutes;
import java.util.Optional;

/**
 * One piece of work waits for another.
 *
 * @param lag time between the two, never negative
 * @param risk present where {@code then} may start before {@code first} is done, at a risk
 */
public record Link(LinkId id, WorkId first, WorkId then, Type type, Lag lag, Optional<Risk> risk) {
    /** Which ends the link ties: the first letter is the end of {@code first}, the second that of {@code then}. */
    public enum Type {
        FINISH_START,
        START_START,
        FINISH_FINISH
    }

    /** A lag in the shop's working hours or in elapsed time. */
    public record Lag(Minutes minutes, boolean working) {
        public static final Lag NONE = new Lag(Minutes.ZERO, false);

        public Lag {
            if (minutes.value() < 0) {
                throw new IllegalArgumentException("A lag must not be negative, not " + minutes.value() + " min.");
            }
        }
    }

    /** What starting early may cost: the chance that it must be redone, and how much of it. */
    public record Risk(double chance, Minutes rework) {
        public Risk {
            if (!(chance >= 0 && chance <= 1)) {
                throw new IllegalArgumentException("A chance is between 0 and 1, not " + chance + ".");
            }
        }
    }

    public static Link finishStart(LinkId id, WorkId first, WorkId then) {
        return new Link(id, first, then, Type.FINISH_START, Lag.NONE, Optional.empty());
    }
}
