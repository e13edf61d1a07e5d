package galecrest.core.rescue;

import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Arrival;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.Estimate;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** What moves change in a shop. */
public final class MoveEffects {
    /** Two hands take so much of the time of one; common practice. */
    private static final double TWO_HANDS = 0.6;
    /** The chance that a start at risk must be redone, where nobody has said; common practice. */
    static final double RISK = 0.3;

    /** Why the other half of a pair is fitted alone, where its partner is gone on without. */
    public static final String HALF_GONE = "its other half is gone on without for now";

    private static final Duration WEEK = Duration.ofDays(7);

    private MoveEffects() {}

    /** The shop as it would be with the move. */
    public static ShopSnapshot apply(ShopSnapshot shop, Move move) {
        if (move instanceof Move.Expedite m) {
            return shop.withParts(shop.parts().stream()
                    .map(p ->
                            p.id().equals(m.part()) ? p.withArrival(p.arrival().map(MoveEffects::sooner)) : p)
                    .toList());
        } else if (move instanceof Move.AskEarlier m) {
            return works(shop, w -> w.id().equals(m.outwork()) && w instanceof Outwork o ? sooner(o) : w);
        } else if (move instanceof Move.ExtraShift m) {
            return shop.withPeople(shop.people().stream()
                    .map(p -> p.id().equals(m.person()) ? extra(p, m) : p)
                    .toList());
        } else if (move instanceof Move.SecondHand m) {
            return works(shop, w -> w.id().equals(m.job()) && w instanceof Job job ? secondHand(job) : w);
        } else if (move instanceof Move.StartAtRisk m) {
            return shop.withLinks(shop.links().stream()
                    .map(l -> l.id().equals(m.link()) ? atRisk(shop, l) : l)
                    .toList());
        } else if (move instanceof Move.InterimFix m) {
            return without(shop, m);
        } else if (move instanceof Move.LetFollow m) {
            return works(shop, w -> w.essential() || w.status() != Status.TODO ? w : notBefore(w, m.until()));
        } else if (move instanceof Move.Park m) {
            return works(
                    shop, w -> w.build().equals(m.build()) && w.status() == Status.TODO ? notBefore(w, m.until()) : w);
        }
        Move.SwapEvent m = (Move.SwapEvent) move;
        return shop.withCommitments(shop.commitments().stream()
                .map(c -> c.id().equals(m.commitment()) ? later(c) : c)
                .toList());
    }

    /** No job waits for the part, and its other half is fitted without it. */
    private static ShopSnapshot without(ShopSnapshot shop, Move.InterimFix move) {
        ShopSnapshot freed = shop.withParts(shop.parts().stream()
                .map(p -> p.pairedWith().filter(move.part()::equals).isPresent() ? p.freedFromPair(HALF_GONE) : p)
                .toList());
        return works(
                freed,
                w -> w instanceof Job job && job.parts().contains(move.part())
                        ? job.withParts(job.parts().stream()
                                .filter(p -> !p.equals(move.part()))
                                .toList())
                        : w);
    }

    private static ShopSnapshot works(ShopSnapshot shop, UnaryOperator<Work> change) {
        return shop.withWorks(shop.works().stream().map(change).toList());
    }

    private static Arrival sooner(Arrival arrival) {
        return new Arrival(arrival.low(), arrival.low(), arrival.likely());
    }

    private static Outwork sooner(Outwork outwork) {
        var days = outwork.turnaround();
        return outwork.withTiming(
                new Outwork.Turnaround(days.low(), days.low(), days.likely()),
                outwork.away().map(a -> new Outwork.Away(a.since(), sooner(a.back()))));
    }

    private static Person extra(Person person, Move.ExtraShift move) {
        List<ShiftChange> changes = new ArrayList<>(person.changes());
        changes.add(
                new ShiftChange(ShiftChange.Kind.EXTRA, move.day(), move.day(), move.from(), move.to(), "extra shift"));
        return new Person(person.id(), person.name(), person.skills(), person.shifts(), changes, person.costPerHour());
    }

    private static Job secondHand(Job job) {
        List<CrewPlace> crew = new ArrayList<>(job.crew());
        crew.add(new CrewPlace(crew.get(0).skill(), Level.LEARNER));
        Estimate e = job.estimate();
        return job.withCrew(crew, Estimate.ofMinutes(shared(e.low()), shared(e.likely()), shared(e.high())));
    }

    private static long shared(Minutes minutes) {
        return Math.max(5, Math.round(minutes.value() * TWO_HANDS));
    }

    private static Link atRisk(ShopSnapshot shop, Link link) {
        long rework = shop.works().stream()
                .filter(w -> w.id().equals(link.then()) && w instanceof Job)
                .mapToLong(w -> ((Job) w).estimate().likely().value() / 2)
                .findFirst()
                .orElse(60);
        return new Link(
                link.id(),
                link.first(),
                link.then(),
                link.type(),
                link.lag(),
                Optional.of(new Link.Risk(RISK, Minutes.of(rework))));
    }

    private static Work notBefore(Work work, Instant until) {
        Instant at = work.notBefore().filter(until::isBefore).orElse(until);
        return work instanceof Outwork outwork && outwork.away().isPresent() ? work : work.withNotBefore(at);
    }

    private static Commitment later(Commitment c) {
        return c.withDue(c.due().plus(WEEK));
    }
}
