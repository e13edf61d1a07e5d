package galecrest.core.time;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;

/**
 * A weekly stretch of working hours on one day. An end of 00:00 means midnight at the end of that day, so a shift
 * from 00:00 to 00:00 is the whole day.
 */
public record Shift(DayOfWeek day, LocalTime start, LocalTime end) {
    public Shift {
        if (!startsBeforeEnd(start, end)) {
            throw new IllegalArgumentException(
                    "The shift on " + day + " must end after it starts, not from " + start + " to " + end + ".");
        }
    }

    /** Whether a shift with these hours has any length; an end of 00:00 is midnight at the day's end. */
    public static boolean startsBeforeEnd(LocalTime start, LocalTime end) {
        return end.equals(LocalTime.MIDNIGHT) || start.isBefore(end);
    }

    /** The shift's span on a date; empty where a change of the clocks leaves nothing of it. */
    public static Optional<Span> on(LocalDate date, LocalTime start, LocalTime end, ZoneId zone) {
        LocalDate endDate = end.equals(LocalTime.MIDNIGHT) ? date.plusDays(1) : date;
        Instant from = date.atTime(start).atZone(zone).toInstant();
        Instant to = endDate.atTime(end).atZone(zone).toInstant();
        return from.isBefore(to) ? Optional.of(new Span(from, to)) : Optional.empty();
    }
}
