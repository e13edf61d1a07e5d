package galecrest.core.plan;

import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import galecrest.core.time.Span;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * How loaded a person or station is on a day, in minutes.
 *
 * @param person whose load it is; empty for a station
 * @param there minutes that the person is in from now on; a working day of eight hours for an open station
 * @param away on leave, or shut
 */
public record Load(
        Optional<PersonId> person, Optional<StationId> station, LocalDate day, int planned, int there, boolean away) {
    /** Loads of all people, then all stations, over so many days from today. */
    public static List<Load> of(ShopSnapshot shop, Plan plan, int days) {
        Grid grid = new Grid(shop.now(), shop.zone(), java.time.Duration.ofDays(days + 1L));
        Calendars calendars = new Calendars(shop, grid);
        LocalDate today = grid.today();
        List<Load> loads = new ArrayList<>();
        for (int day = 0; day < days; day++) {
            LocalDate date = today.plusDays(day);
            Span span = span(date, shop.zone());
            int from = Math.max(0, grid.atOrAfter(span.from()));
            int to = Math.max(0, grid.atOrBefore(span.to()));
            for (int i = 0; i < shop.people().size(); i++) {
                PersonId id = shop.people().get(i).id();
                SlotWindows in = calendars.person(i);
                int there = Grid.SLOT_MINUTES * (in.workBefore(to) - in.workBefore(from));
                boolean away = there == 0 && calendars.onLeave(i).opensWithin(from, to);
                int planned = minutes(plan, span, p -> p.crew().contains(id));
                loads.add(new Load(Optional.of(id), Optional.empty(), date, planned, there, away));
            }
            for (var station : shop.stations()) {
                Optional<StationId> id = Optional.of(station.id());
                int planned = minutes(plan, span, p -> p.station().equals(id));
                boolean shut = station.closures().stream().anyMatch(c -> c.covers(date));
                loads.add(new Load(Optional.empty(), id, date, planned, shut ? 0 : 480, shut));
            }
        }
        return loads;
    }

    private static Span span(LocalDate date, ZoneId zone) {
        return new Span(
                date.atStartOfDay(zone).toInstant(),
                date.plusDays(1).atStartOfDay(zone).toInstant());
    }

    private static int minutes(Plan plan, Span day, Predicate<Plan.Placed> of) {
        long minutes = 0;
        for (Plan.Placed placed : plan.placed()) {
            if (placed.start().isBefore(day.to()) && day.from().isBefore(placed.end()) && of.test(placed)) {
                for (Span at : placed.at()) {
                    Instant from = at.from().isAfter(day.from()) ? at.from() : day.from();
                    Instant to = at.to().isBefore(day.to()) ? at.to() : day.to();
                    minutes += Math.max(0, java.time.Duration.between(from, to).toMinutes());
                }
            }
        }
        return (int) minutes;
    }
}
