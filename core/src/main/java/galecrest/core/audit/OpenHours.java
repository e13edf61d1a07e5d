package galecrest.core.audit;

import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.time.Closure;
import galecrest.core.time.Shift;
import galecrest.core.time.Span;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/**
 * When someone or something is there, re-derived for the audit: a set of disjoint stretches of epoch minutes, kept by
 * where they start.
 */
final class OpenHours {
    private final TreeMap<Long, Long> open = new TreeMap<>();

    /** Weekly hours alone, on all days from the first to the last but the closed ones. */
    static OpenHours weekly(List<Shift> shifts, List<Closure> closures, ZoneId zone, LocalDate first, LocalDate last) {
        OpenHours hours = new OpenHours();
        for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
            for (Shift shift : shifts) {
                if (shift.day() == day.getDayOfWeek()) {
                    hours.add(minute(day, shift.start(), zone), endMinute(day, shift.end(), zone));
                }
            }
        }
        return hours.without(closures, zone);
    }

    static OpenHours of(Person person, ZoneId zone, LocalDate first, LocalDate last) {
        OpenHours hours = weekly(person.shifts(), List.of(), zone, first, last);
        for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
            for (ShiftChange change : person.changes()) {
                if (change.kind() == ShiftChange.Kind.EXTRA && covers(change, day)) {
                    hours.add(minute(day, change.start(), zone), endMinute(day, change.end(), zone));
                }
            }
        }
        for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
            for (ShiftChange change : person.changes()) {
                if (change.kind() == ShiftChange.Kind.LEAVE && covers(change, day)) {
                    hours.remove(minute(day, change.start(), zone), endMinute(day, change.end(), zone));
                }
            }
        }
        return hours;
    }

    private static boolean covers(ShiftChange change, LocalDate day) {
        return day.toEpochDay() >= change.from().toEpochDay()
                && day.toEpochDay() <= change.to().toEpochDay();
    }

    static OpenHours always(long from, long to) {
        OpenHours hours = new OpenHours();
        hours.add(from, to);
        return hours;
    }

    /** Takes the closed days away. */
    OpenHours without(List<Closure> closures, ZoneId zone) {
        for (Closure closure : closures) {
            remove(
                    minute(closure.from(), LocalTime.MIDNIGHT, zone),
                    minute(closure.to().plusDays(1), LocalTime.MIDNIGHT, zone));
        }
        return this;
    }

    static long minute(Instant at) {
        return Math.floorDiv(at.getEpochSecond(), 60L);
    }

    private static long minute(LocalDate day, LocalTime time, ZoneId zone) {
        return minute(day.atTime(time).atZone(zone).toInstant());
    }

    private static long endMinute(LocalDate day, LocalTime end, ZoneId zone) {
        return end.equals(LocalTime.MIDNIGHT) ? minute(day.plusDays(1), end, zone) : minute(day, end, zone);
    }

    void add(long from, long to) {
        if (from >= to) {
            return;
        }
        long start = from;
        long end = to;
        var left = open.floorEntry(from);
        if (left != null && left.getValue() >= from) {
            start = left.getKey();
            end = Math.max(end, left.getValue());
        }
        var inside = open.subMap(start, true, end, true);
        for (long other : inside.values()) {
            end = Math.max(end, other);
        }
        inside.clear();
        open.put(start, end);
    }

    /** Takes a stretch away. */
    void remove(long from, long to) {
        if (from >= to) {
            return;
        }
        var left = open.lowerEntry(from);
        if (left != null && left.getValue() > from) {
            open.put(left.getKey(), from);
            if (left.getValue() > to) {
                open.put(to, left.getValue());
            }
        }
        var right = open.lowerEntry(to);
        if (right != null && right.getKey() >= from && right.getValue() > to) {
            open.put(to, right.getValue());
        }
        open.subMap(from, true, to, false).clear();
    }

    void addAll(OpenHours other) {
        other.open.forEach(this::add);
    }

    OpenHours common(OpenHours other) {
        OpenHours both = new OpenHours();
        open.forEach((from, to) -> {
            var at = other.open.floorEntry(from);
            if (at != null && at.getValue() > from) {
                both.add(from, Math.min(to, at.getValue()));
            }
            other.open.subMap(from, false, to, false).forEach((f, t) -> both.add(f, Math.min(to, t)));
        });
        return both;
    }

    /** The open stretches between two minutes. */
    List<long[]> between(long from, long to) {
        List<long[]> stretches = new ArrayList<>();
        var at = open.floorEntry(from);
        if (at != null && Math.min(at.getValue(), to) > from) {
            stretches.add(new long[] {from, Math.min(at.getValue(), to)});
        }
        open.subMap(from, false, to, false).forEach((f, t) -> stretches.add(new long[] {f, Math.min(t, to)}));
        return stretches;
    }

    long minutesBetween(long from, long to) {
        return between(from, to).stream().mapToLong(s -> s[1] - s[0]).sum();
    }

    /** When so many open minutes after {@code from} have passed; {@link Long#MAX_VALUE} where they never do. */
    long after(long from, long minutes) {
        if (minutes == 0) {
            return from;
        }
        long left = minutes;
        for (long[] stretch : between(from, Long.MAX_VALUE)) {
            if (stretch[1] - stretch[0] >= left) {
                return stretch[0] + left;
            }
            left -= stretch[1] - stretch[0];
        }
        return Long.MAX_VALUE;
    }

    /** The first open stretch that ends after the minute, cut to begin no earlier; empty where there is none. */
    Optional<long[]> stretchAfter(long minute) {
        return between(minute, Long.MAX_VALUE).stream().findFirst();
    }

    boolean isOpen(long minute) {
        var at = open.floorEntry(minute);
        return at != null && at.getValue() > minute;
    }

    static Span span(long from, long to) {
        return new Span(Instant.ofEpochSecond(from * 60), Instant.ofEpochSecond(to * 60));
    }
}
