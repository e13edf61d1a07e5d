package galecrest.core.season;

import galecrest.core.people.Person;
import galecrest.core.people.WorkedTime;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Span;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;

/**
 * The hours that there are between two moments.
 *
 * @param there minutes that people are in, all together; who is away with a car is not
 * @param taken minutes of these that a plan has for other work
 */
public record HoursThere(long there, long taken) {
    /** What is free, minutes. */
    public long free() {
        return Math.max(0, there - taken);
    }

    /**
     * The hours of a shop by a plan.
     *
     * @param own work that does not count as other work
     */
    public static HoursThere of(ShopSnapshot shop, Plan plan, Instant from, Instant to, Set<WorkId> own) {
        if (!from.isBefore(to)) {
            return new HoursThere(0, 0);
        }
        long there = 0;
        for (Person person : shop.withCrewsAway().people()) {
            there += WorkedTime.of(person, from, to, shop.zone()).value();
        }
        long taken = 0;
        for (Plan.Placed placed : plan.placed()) {
            if (!own.contains(placed.work())) {
                for (Span at : placed.at()) {
                    taken += placed.crew().size() * overlap(at, from, to);
                }
            }
        }
        return new HoursThere(there, taken);
    }

    private static long overlap(Span at, Instant from, Instant to) {
        Instant start = at.from().isAfter(from) ? at.from() : from;
        Instant end = at.to().isBefore(to) ? at.to() : to;
        return Math.max(0, Duration.between(start, end).toMinutes());
    }
}
