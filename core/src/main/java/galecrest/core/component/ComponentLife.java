package galecrest.core.component;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * How much of its life a component has behind it. A use wears it exactly where it was fitted to that car at that moment, so
 * that nothing is lost or counted twice, whatever is swapped between cars.
 *
 * @param total since it was new
 * @param sinceService since it was serviced last; the same where it never was
 */
public record ComponentLife(Component component, Wear total, Wear sinceService) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);
    /** What computing with hours leaves of nought. */
    private static final double NOUGHT = 1e-6;

    /** The life of a component after those uses, of which only its own are counted. */
    public static ComponentLife of(Component component, List<CarUse> uses) {
        Wear total = component.before();
        Wear since = component.serviced().isEmpty() ? component.before() : Wear.NONE;
        Optional<Instant> last = component.serviced().isEmpty()
                ? Optional.empty()
                : Optional.of(component.serviced().get(component.serviced().size() - 1));
        for (CarUse use : uses) {
            if (component
                    .at(use.at())
                    .filter(f -> f.build().equals(use.build()))
                    .isPresent()) {
                total = total.plus(use.wear());
                if (last.isEmpty() || use.at().isAfter(last.get())) {
                    since = since.plus(use.wear());
                }
            }
        }
        return new ComponentLife(component, total, since);
    }

    /** What is counted against a limit. */
    public double against(LifeLimit limit) {
        return (limit.service() ? sinceService : total).get(limit.counter());
    }

    /** A thing to come that uses the car. */
    public record Planned(String name, LocalDate day, Wear wear) {}

    /**
     * What runs out, and at what.
     *
     * @param said in a sentence
     * @param day when; of what has run out already, today
     * @param at the thing to come at which it does; empty where it has run out already
     * @param service whether a service makes it good; else it must be replaced
     */
    public record Due(String said, LocalDate day, String at, boolean service) {
        /** Whether it has run out already. */
        public boolean now() {
            return at.isEmpty();
        }
    }

    /**
     * What has run out by today and what will at the things to come, the soonest first; each limit and the date at most once.
     *
     * @param today the first day that counts
     * @param ahead what is to come for the car that it is on, in any order
     */
    public List<Due> due(LocalDate today, List<Planned> ahead) {
        List<Planned> inOrder =
                ahead.stream().sorted(Comparator.comparing(Planned::day)).toList();
        List<Due> due = new ArrayList<>();
        component.expires().ifPresent(last -> {
            if (last.isBefore(today)) {
                due.add(new Due("expired " + last.format(DAY), today, "", false));
            } else {
                inOrder.stream()
                        .filter(p -> p.day().isAfter(last))
                        .findFirst()
                        .ifPresent(p -> due.add(new Due(
                                "expires " + last.format(DAY) + ", before " + p.name(), p.day(), p.name(), false)));
            }
        });
        for (LifeLimit limit : component.limits()) {
            of(limit, today, inOrder).ifPresent(due::add);
        }
        due.sort(Comparator.comparing(Due::day));
        return due;
    }

    private Optional<Due> of(LifeLimit limit, LocalDate today, List<Planned> inOrder) {
        double used = against(limit);
        String said = Wear.said(limit.counter(), used)
                        .replace(" " + limit.counter().unit(), "") + " of " + Wear.said(limit.counter(), limit.most());
        if (used >= limit.most() - NOUGHT) {
            return Optional.of(new Due(said, today, "", limit.service()));
        }
        for (Planned planned : inOrder) {
            double more = planned.wear().get(limit.counter());
            used += more;
            if (more > 0 && used >= limit.most() - NOUGHT) {
                String takes = used > limit.most() + NOUGHT ? " takes it beyond the limit" : " takes it to the limit";
                return Optional.of(
                        new Due(said + "; " + planned.name() + takes, planned.day(), planned.name(), limit.service()));
            }
        }
        return Optional.empty();
    }

    /** What has run out by now, in a sentence with its name; empty while all is well. */
    public List<String> lapsed(Instant now, ZoneId zone) {
        return due(now.atZone(zone).toLocalDate(), List.of()).stream()
                .map(d -> component.called() + ": " + d.said())
                .toList();
    }
}
