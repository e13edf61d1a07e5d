package galecrest.core.work;

import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.shop.StationId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What a date takes away from the shop, from when the car must leave until it is back: a test day, an event.
 *
 * @param back when car, people and trailer are in the shop again
 * @param crew who goes along, and is not in the shop meanwhile
 * @param takes stations that go along, such as the trailer; until then they are there for this car
 * @param there work that is done there, by those who are along: none of the shop's hours, and not before the date
 */
public record Outing(Instant back, Set<PersonId> crew, Set<StationId> takes, Set<WorkId> there) {
    public Outing {
        crew = Set.copyOf(crew);
        takes = Set.copyOf(takes);
        there = Set.copyOf(there);
    }

    /** The same with other work done there. */
    public Outing doing(Set<WorkId> other) {
        return new Outing(back, crew, takes, other);
    }

    /** The hours that it takes from each of the crew, day by day, when the car leaves at an instant. */
    public List<ShiftChange> absences(Instant leaves, ZoneId zone, String note) {
        ZonedDateTime from = leaves.atZone(zone);
        ZonedDateTime to = back.atZone(zone);
        List<ShiftChange> absences = new ArrayList<>();
        LocalDate last =
                to.toLocalTime().equals(LocalTime.MIDNIGHT) ? to.toLocalDate().minusDays(1) : to.toLocalDate();
        for (LocalDate day = from.toLocalDate(); !day.isAfter(last); day = day.plusDays(1)) {
            LocalTime start = day.equals(from.toLocalDate()) ? from.toLocalTime() : LocalTime.MIDNIGHT;
            LocalTime end = day.equals(to.toLocalDate()) ? to.toLocalTime() : LocalTime.MIDNIGHT;
            absences.add(new ShiftChange(ShiftChange.Kind.AWAY, day, day, start, end, note));
        }
        return absences;
    }
}
