package galecrest.core.people;

import galecrest.core.time.Shift;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A hand: does one job at a time, within shifts.
 *
 * @param skills skill by name, lower case, with the level
 * @param costPerHour in the shop's currency
 */
public record Person(
        PersonId id,
        String name,
        Map<String, Level> skills,
        List<Shift> shifts,
        List<ShiftChange> changes,
        BigDecimal costPerHour) {
    public Person {
        skills = Map.copyOf(skills);
        shifts = List.copyOf(shifts);
        changes = List.copyOf(changes);
    }

    /** The same who goes along to dates just then; who was away for others is not. */
    public Person away(List<ShiftChange> absences) {
        List<ShiftChange> all = new ArrayList<>(changes);
        all.removeIf(c -> c.kind() == ShiftChange.Kind.AWAY);
        all.addAll(absences);
        return all.equals(changes) ? this : new Person(id, name, skills, shifts, all, costPerHour);
    }

    /** The same with one change more. */
    public Person with(ShiftChange change) {
        List<ShiftChange> all = new ArrayList<>(changes);
        all.add(change);
        return new Person(id, name, skills, shifts, all, costPerHour);
    }

    public boolean can(String skill, Level least) {
        Level level = skills.get(skill);
        return level != null && level.atLeast(least);
    }
}
