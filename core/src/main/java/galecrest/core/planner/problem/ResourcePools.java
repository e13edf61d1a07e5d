package galecrest.core.planner.problem;

import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.Calendars;
import galecrest.core.work.Job;
import galecrest.core.work.Pin;
import galecrest.core.work.RunningIn;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * People who are interchangeable to the planner: the same skills, the same hours, and nothing said of one of them by
 * name. Most pools of a shop hold one person. Within a larger pool only the number of people taken counts while a
 * schedule is built; who it is, is settled afterwards.
 */
public final class ResourcePools {
    private final int[][] members;
    private final int[] poolOf;

    /** What makes two people the same to the planner. */
    private record Alike(Map<String, Level> skills, int hours, int onlyThis) {}

    ResourcePools(ShopSnapshot shop, Calendars calendars) {
        Set<PersonId> named = named(shop);
        Map<Alike, List<Integer>> groups = new LinkedHashMap<>();
        List<Person> people = shop.people();
        for (int i = 0; i < people.size(); i++) {
            boolean own = named.contains(people.get(i).id());
            Alike alike = new Alike(people.get(i).skills(), calendars.alike(i), own ? i : -1);
            groups.computeIfAbsent(alike, a -> new ArrayList<>()).add(i);
        }
        members = groups.values().stream()
                .map(g -> g.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
        poolOf = new int[people.size()];
        for (int pool = 0; pool < members.length; pool++) {
            for (int person : members[pool]) {
                poolOf[person] = pool;
            }
        }
    }

    private static Set<PersonId> named(ShopSnapshot shop) {
        Set<PersonId> named = new HashSet<>();
        for (Pin pin : shop.pins()) {
            if (pin instanceof Pin.ToPerson toPerson) {
                named.add(toPerson.person());
            }
        }
        shop.works().forEach(w -> {
            if (w instanceof Job job) {
                job.started().ifPresent(s -> named.addAll(s.by()));
            } else if (w instanceof RunningIn runIn) {
                shop.people().stream()
                        .filter(p -> p.skills().containsKey(runIn.driver().skill()))
                        .forEach(p -> named.add(p.id()));
            }
        });
        shop.published().ifPresent(told -> told.placed().forEach(p -> named.addAll(p.crew())));
        shop.taken().ifPresent(better -> better.placed().forEach(p -> named.addAll(p.crew())));
        return named;
    }

    /** How many pools there are. */
    public int count() {
        return members.length;
    }

    /** How many people are in the pool. */
    public int size(int pool) {
        return members[pool].length;
    }

    /** The people of the pool, by their numbers. */
    public int[] members(int pool) {
        return members[pool];
    }

    /** The pool that the person is in. */
    public int of(int person) {
        return poolOf[person];
    }

    /** One person of the pool, for what all of them share. */
    public int anyOf(int pool) {
        return members[pool][0];
    }
}
