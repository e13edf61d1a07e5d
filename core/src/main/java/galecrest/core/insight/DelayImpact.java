package galecrest.core.insight;

import galecrest.core.parts.PartLine;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.time.Arrival;
import galecrest.core.time.Minutes;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * What one more day costs, of each thing that is outside the building: the plan is mended with it a day later, and
 * compared with what it is. What has more than a day in hand costs nothing.
 */
public final class DelayImpact {
    private static final Duration DAY = Duration.ofDays(1);
    /** It is asked of each thing outside, with every change: a quick answer will do. */
    private static final int STEPS = 12;

    private DelayImpact() {}

    /**
     * What a day more of one thing does.
     *
     * @param id of a part or of outwork
     * @param inHand time until it would be late for what needs it; negative where it is already
     * @param hardHours weight × working hours that events and paid slots become later
     * @param promisedHours the same of promises
     * @param marginLost working time that the dates lose together
     * @param hardest the date that becomes later by most, or else loses most of its margin
     * @param hardestLoses what it loses
     * @param need what a part must keep to
     */
    public record OfThing(
            String id,
            Duration inHand,
            double hardHours,
            double promisedHours,
            Minutes marginLost,
            Optional<CommitmentId> hardest,
            Minutes hardestLoses,
            Optional<LatestDates.PartNeed> need) {
        /** The most harmful first; what harms nothing by the time in hand. */
        public static final Comparator<OfThing> WORST_FIRST = Comparator.comparingDouble(OfThing::hardHours)
                .thenComparingDouble(OfThing::promisedHours)
                .thenComparingLong(h -> h.marginLost().value())
                .reversed()
                .thenComparing(OfThing::inHand)
                .thenComparing(OfThing::id);
    }

    /**
     * Of all that is outside or must still come in, the worst first; empty where it was told not to go on.
     *
     * @param base the plan of the shop as it is
     */
    public static Optional<List<OfThing>> of(ShopSnapshot shop, Plan base, BooleanSupplier goOn) {
        Optional<LatestDates> tried = LatestDates.of(shop, base, goOn);
        if (tried.isEmpty()) {
            return Optional.empty();
        }
        LatestDates needs = tried.get();
        List<OfThing> all = new ArrayList<>();
        Map<Object, LatestDates.PartNeed> needed = new HashMap<>();
        needs.parts().forEach(n -> needed.put(n.part(), n));
        for (PartLine part : shop.parts()) {
            LatestDates.PartNeed need = needed.get(part.id());
            if (need == null || part.state().toInspect()) {
                continue;
            }
            if (!goOn.getAsBoolean()) {
                return Optional.empty();
            }
            Instant comes = shop.expected(part)
                    .map(Arrival::likely)
                    .orElse(shop.now().plus(shop.rules().unknownArrival()));
            Duration inHand = Duration.between(comes, need.neededAt());
            all.add(
                    inHand.compareTo(DAY) >= 0
                            ? harmless(part.id().value(), inHand, Optional.of(need))
                            : between(
                                    part.id().value(),
                                    inHand,
                                    Optional.of(need),
                                    base,
                                    mended(later(shop, part, comes), base)));
        }
        for (Work work : shop.works()) {
            if (work instanceof Outwork outwork && outwork.status() != Status.DONE) {
                if (!goOn.getAsBoolean()) {
                    return Optional.empty();
                }
                all.add(of(shop, base, needs, outwork));
            }
        }
        all.sort(OfThing.WORST_FIRST);
        return Optional.of(all);
    }

    private static OfThing of(ShopSnapshot shop, Plan base, LatestDates needs, Outwork outwork) {
        Duration inHand = base.placed().stream()
                .filter(p -> p.work().equals(outwork.id()))
                .findFirst()
                .map(p -> Duration.between(p.end(), needs.outwork().getOrDefault(p.work(), p.end())))
                .orElse(Duration.ZERO);
        if (inHand.compareTo(DAY) >= 0) {
            return harmless(outwork.id().value(), inHand, Optional.empty());
        }
        var days = outwork.turnaround();
        Outwork later = outwork.withTiming(
                new Outwork.Turnaround(days.low() + 1, days.likely() + 1, days.high() + 1),
                outwork.away().map(a -> new Outwork.Away(a.since(), later(a.back()))));
        ShopSnapshot with = shop.withWorks(shop.works().stream()
                .map(w -> w.id().equals(outwork.id()) ? later : w)
                .toList());
        return between(outwork.id().value(), inHand, Optional.empty(), base, mended(with, base));
    }

    private static ShopSnapshot later(ShopSnapshot shop, PartLine part, Instant comes) {
        Arrival arrival = shop.promised(part).map(DelayImpact::later).orElse(Arrival.exactly(comes.plus(DAY)));
        return shop.withParts(shop.parts().stream()
                .map(p -> p.id().equals(part.id()) ? p.expectedAgain(arrival) : p)
                .toList());
    }

    private static Arrival later(Arrival arrival) {
        return new Arrival(
                arrival.low().plus(DAY),
                arrival.likely().plus(DAY),
                arrival.high().plus(DAY));
    }

    private static Plan mended(ShopSnapshot shop, Plan base) {
        ShopSnapshot standing = shop.withTaken(base);
        return Planner.plan(standing, PlanOptions.interactive(standing).withSteps(STEPS));
    }

    private static OfThing harmless(String id, Duration inHand, Optional<LatestDates.PartNeed> need) {
        return new OfThing(id, inHand, 0, 0, Minutes.of(0), Optional.empty(), Minutes.of(0), need);
    }

    private static OfThing between(
            String id, Duration inHand, Optional<LatestDates.PartNeed> need, Plan base, Plan later) {
        Map<CommitmentId, Minutes> before = new HashMap<>();
        base.outlooks().forEach(o -> o.margin().ifPresent(m -> before.put(o.commitment(), m)));
        long lost = 0;
        long most = 0;
        long mostLate = 0;
        Optional<CommitmentId> hardest = Optional.empty();
        for (Plan.Outlook after : later.outlooks()) {
            Minutes was = before.get(after.commitment());
            if (was == null || after.margin().isEmpty()) {
                continue;
            }
            long loses = Math.max(0, was.value() - after.margin().get().value());
            lost += loses;
            long late = Math.max(0, -after.margin().get().value()) - Math.max(0, -was.value());
            if (late > mostLate || late == mostLate && loses > most) {
                most = loses;
                mostLate = late;
                hardest = Optional.of(after.commitment());
            }
        }
        return new OfThing(
                id,
                inHand,
                Math.max(0, later.score().hardLateness() - base.score().hardLateness()),
                Math.max(0, later.score().promisedLateness() - base.score().promisedLateness()),
                Minutes.of(lost),
                hardest,
                Minutes.of(most),
                need);
    }
}
