package galecrest.core.people;

import galecrest.core.time.Shift;
import java.time.LocalDate;
import java.time.LocalTime;

/**
 * A change to somebody's weekly shifts on the days from–to (both included): leave takes the hours start–end away,
 * as does a date that somebody goes along to; an extra shift adds them. Leave of the whole day runs from 00:00 to 00:00.
 */
public record ShiftChange(Kind kind, LocalDate from, LocalDate to, LocalTime start, LocalTime end, String note) {
    /** What the change does. */
    public enum Kind {
        LEAVE,
        EXTRA,
        /** With a car, at one of its dates: it follows from the date and is nowhere entered. */
        AWAY;

        /** Whether it takes hours away. */
        public boolean takes() {
            return this != EXTRA;
        }
    }

    public ShiftChange {
        if (to.isBefore(from)) {
            throw new IllegalArgumentException("The last day must be on or after " + from + ", not " + to + ".");
        }
        if (!Shift.startsBeforeEnd(start, end)) {
            throw new IllegalArgumentException(
                    "The hours must end after they start, not " + start + " to " + end + ".");
        }
    }

    /** Leave of whole days. */
    public static ShiftChange leave(LocalDate from, LocalDate to, String note) {
        return new ShiftChange(Kind.LEAVE, from, to, LocalTime.MIDNIGHT, LocalTime.MIDNIGHT, note);
    }

    public boolean covers(LocalDate date) {
        return !date.isBefore(from) && !date.isAfter(to);
    }
}
