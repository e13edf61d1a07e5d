package galecrest.core.insight;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.Calendars;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.shop.StationId;
import galecrest.core.time.Span;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How loaded a person or station is on a day, in minutes.
 *
 * @param person whose load it is; empty for a station
 * @param there minutes that the person is in from now on; a working day of eight hours for an open station
 * @param away on leave, or shut
 */
public record Load(
        Optional<PersonId> person, Optional<StationId> station, LocalDate day, int planned, int there, boolean away) {
    private static final int OPEN_MINUTES = 480;

    /** Loads of all people, then all stations, over so many days from today. */
    public static List<Load> of(ShopSnapshot shop, Plan plan, int days) {
        TimeGrid grid = new TimeGrid(shop.now(), shop.zone(), Duration.ofDays(days + 1L));
        Calendars calendars = new Calendars(shop, grid);
        LocalDate today = grid.today();
        Planned planned = new Planned(today, shop.zone(), days);
        plan.placed().forEach(planned::add);
        List<Load> loads = new ArrayList<>();
        for (int day = 0; day < days; day++) {
            LocalDate date = today.plusDays(day);
            int from = Math.max(0, grid.atOrAfter(planned.midnights[day]));
            int to = Math.max(0, grid.atOrBefore(planned.midnights[day + 1]));
            for (int i = 0; i < shop.people().size(); i++) {
                PersonId id = shop.people().get(i).id();
                WorkingWindows in = calendars.person(i);
                int there = TimeGrid.SLOT_MINUTES * (in.workBefore(to) - in.workBefore(from));
                boolean away = there == 0 && calendars.onLeave(i).opensWithin(from, to);
                loads.add(new Load(Optional.of(id), Optional.empty(), date, planned.of(id, day), there, away));
            }
            for (var station : shop.stations()) {
                boolean shut = station.closures().stream().anyMatch(c -> c.covers(date));
                loads.add(new Load(
                        Optional.empty(),
                        Optional.of(station.id()),
                        date,
                        planned.of(station.id(), day),
                        shut ? 0 : OPEN_MINUTES,
                        shut));
            }
        }
        return loads;
    }

    /** The minutes of each day that a plan has a person at work or a station taken. */
    private static final class Planned {
        private final LocalDate first;
        private final ZoneId zone;
        /** When each day begins, and when the last ends. */
        private final Instant[] midnights;

        private final Map<Object, int[]> minutes = new HashMap<>();

        Planned(LocalDate first, ZoneId zone, int days) {
            this.first = first;
            this.zone = zone;
            midnights = new Instant[days + 1];
            Arrays.setAll(
                    midnights, day -> first.plusDays(day).atStartOfDay(zone).toInstant());
        }

        void add(Plan.Placed placed) {
            for (Span at : placed.at()) {
                long from =
                        ChronoUnit.DAYS.between(first, at.from().atZone(zone).toLocalDate());
                for (int day = (int) Math.max(0, from); day < days() && midnights[day].isBefore(at.to()); day++) {
                    int overlap = overlap(at, day);
                    for (PersonId person : placed.crew()) {
                        minutesOf(person)[day] += overlap;
                    }
                    if (placed.station().isPresent()) {
                        minutesOf(placed.station().get())[day] += overlap;
                    }
                }
            }
        }

        int of(Object personOrStation, int day) {
            int[] its = minutes.get(personOrStation);
            return its == null ? 0 : its[day];
        }

        private int days() {
            return midnights.length - 1;
        }

        private int overlap(Span at, int day) {
            Instant from = at.from().isAfter(midnights[day]) ? at.from() : midnights[day];
            Instant to = at.to().isBefore(midnights[day + 1]) ? at.to() : midnights[day + 1];
            return (int) Math.max(0, Duration.between(from, to).toMinutes());
        }

        private int[] minutesOf(Object personOrStation) {
            return minutes.computeIfAbsent(personOrStation, id -> new int[days()]);
        }
    }
}
