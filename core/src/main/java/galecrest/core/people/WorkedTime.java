package galecrest.core.people;

import galecrest.core.time.Minutes;
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

    /** Minutes of the span in which the person was in: a minute of two shifts counts once, one of leave not at all. */
    public static Minutes of(Person person, Instant from, Instant to, ZoneId zone) {
        Instant start = from.isBefore(to.minus(LONGEST)) ? to.minus(LONGEST) : from;
        long minutes = 0;
        LocalDate last = to.atZone(zone).toLocalDate();
        for (LocalDate day = start.atZone(zone).toLocalDate(); !day.isAfter(last); day = day.plusDays(1)) {
            for (Span span : WorkingDay.of(person, day, zone)) {
                minutes += overlap(span, start, to);
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
