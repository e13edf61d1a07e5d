package galecrest.core.people;

import galecrest.core.time.Shift;
import galecrest.core.time.Span;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** When a person is in on a day: the weekly shifts and extra ones together, less the hours of leave. */
public final class WorkingDay {
    private static final int LOOKED_AHEAD = 30;

    private WorkingDay() {}

    /** Disjoint stretches in their order. */
    public static List<Span> of(Person person, LocalDate day, ZoneId zone) {
        List<Span> spans = new ArrayList<>();
        for (Shift shift : person.shifts()) {
            if (shift.day() == day.getDayOfWeek()) {
                Shift.on(day, shift.start(), shift.end(), zone).ifPresent(spans::add);
            }
        }
        if (!changes(person, day)) {
            return merged(spans);
        }
        changes(person, false, day, zone).forEach(spans::add);
        List<Span> in = merged(spans);
        for (Span gone : changes(person, true, day, zone)) {
            in = without(in, gone);
        }
        return in;
    }

    /** The first day after one on which a person is in at all, looked for as far as {@value #LOOKED_AHEAD} days. */
    public static Optional<LocalDate> after(Person person, LocalDate day, ZoneId zone) {
        return day.plusDays(1)
                .datesUntil(day.plusDays(LOOKED_AHEAD + 1))
                .filter(ahead -> !of(person, ahead, zone).isEmpty())
                .findFirst();
    }

    private static boolean changes(Person person, LocalDate day) {
        for (ShiftChange change : person.changes()) {
            if (change.covers(day)) {
                return true;
            }
        }
        return false;
    }

    private static List<Span> changes(Person person, boolean taking, LocalDate day, ZoneId zone) {
        return person.changes().stream()
                .filter(c -> c.kind().takes() == taking && c.covers(day))
                .flatMap(c -> Shift.on(day, c.start(), c.end(), zone).stream())
                .toList();
    }

    private static List<Span> merged(List<Span> spans) {
        if (inOrder(spans)) {
            return spans;
        }
        List<Span> sorted =
                spans.stream().sorted(Comparator.comparing(Span::from)).toList();
        List<Span> merged = new ArrayList<>();
        for (Span span : sorted) {
            Span last = merged.isEmpty() ? null : merged.get(merged.size() - 1);
            if (last == null || span.from().isAfter(last.to())) {
                merged.add(span);
            } else {
                Instant to = span.to().isAfter(last.to()) ? span.to() : last.to();
                merged.set(merged.size() - 1, new Span(last.from(), to));
            }
        }
        return merged;
    }

    private static boolean inOrder(List<Span> spans) {
        for (int i = 1; i < spans.size(); i++) {
            if (!spans.get(i - 1).to().isBefore(spans.get(i).from())) {
                return false;
            }
        }
        return true;
    }

    private static List<Span> without(List<Span> spans, Span gone) {
        List<Span> left = new ArrayList<>();
        for (Span span : spans) {
            if (!span.overlaps(gone)) {
                left.add(span);
                continue;
            }
            if (span.from().isBefore(gone.from())) {
                left.add(new Span(span.from(), gone.from()));
            }
            if (gone.to().isBefore(span.to())) {
                left.add(new Span(gone.to(), span.to()));
            }
        }
        return left;
    }
}
