package galecrest.core.people;

import galecrest.core.time.Minutes;
import galecrest.core.time.Shift;
import galecrest.core.time.Span;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;

/** How long somebody has been at work between two instants. */
public final class WorkedTime {
    /** Nobody keeps one job going for longer without a word. */
    private static final Duration LONGEST = Duration.ofDays(60);

    private WorkedTime() {}

    /** Minutes of the person's weekly shifts and extra shifts in the span, leave not counted. */
    public static Minutes of(Person person, Instant from, Instant to, ZoneId zone) {
        Instant start = from.isBefore(to.minus(LONGEST)) ? to.minus(LONGEST) : from;
        long minutes = 0;
        LocalDate last = to.atZone(zone).toLocalDate();
        for (LocalDate day = start.atZone(zone).toLocalDate(); !day.isAfter(last); day = day.plusDays(1)) {
            LocalDate date = day;
            boolean away =
                    person.changes().stream().anyMatch(c -> c.kind() == ShiftChange.Kind.LEAVE && c.covers(date));
            for (Shift shift : person.shifts()) {
                if (shift.day() == date.getDayOfWeek() && !away) {
                    minutes += Shift.on(date, shift.start(), shift.end(), zone)
                            .map(s -> overlap(s, start, to))
                            .orElse(0L);
                }
            }
            for (ShiftChange change : person.changes()) {
                if (change.kind() == ShiftChange.Kind.EXTRA && change.covers(date)) {
                    minutes += Shift.on(date, change.start(), change.end(), zone)
                            .map(s -> overlap(s, start, to))
                            .orElse(0L);
                }
            }
        }
        return Minutes.of(minutes);
    }

    private static long overlap(Span span, Instant from, Instant to) {
        Instant start = span.from().isAfter(from) ? span.from() : from;
        Instant end = span.to().isBefore(to) ? span.to() : to;
        return Math.max(0, Duration.between(start, end).toMinutes());
    }
}
