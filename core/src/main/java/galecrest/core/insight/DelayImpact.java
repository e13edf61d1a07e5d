package galecrest.core.insight;

import galecrest.core.build.BuildId;
import galecrest.core.parts.PartLine;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.time.Arrival;
import galecrest.core.time.Minutes;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Job;
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
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;

/**
 * What one more day costs, of each thing that is outside the building: the plan is mended with it a day later and without,
 * and the two are compared. That is done with all that stands left in its place, and again with the cars that wait for
 * the thing let go, so that they may make the best of it; the cheaper answer counts. What has more than a day in hand
 * costs nothing; nor does margin that leaves a date more than a working week, which a mended plan takes here or there.
 */
public final class DelayImpact {
    private static final Duration DAY = Duration.ofDays(1);
    /** Margin beyond a working week does not count: no date is nearer for it. */
    private static final Minutes ENOUGH = Minutes.ofHours(40);
    /** It is asked of each thing outside, with every change: a quick answer will do, so many schedules or fewer. */
    private static final long MOST_STEPS = 40;

    private static final long LEAST_STEPS = 16;
    /** Where the quick answer is that a date is lost. */
    private static final long MANY_STEPS = 160;

    private final ShopSnapshot shop;
    private final Plan base;
    /** The plan of the shop as it is, with such cars let go. */
    private final Map<AtEase, Plan> atEase = new HashMap<>();

    private DelayImpact(ShopSnapshot shop, Plan base) {
        this.shop = shop;
        this.base = base;
    }

    private record AtEase(Set<BuildId> cars, long steps) {}

    /**
     * What a day more of one thing does.
     *
     * @param id of a part or of outwork
     * @param inHand time until it would be late for what needs it; negative where it is already
     * @param hardHours weight × working hours that events and paid slots become later
     * @param promisedHours the same of promises
     * @param marginLost working time that the dates lose together of their last week in hand
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

        private static final Comparator<OfThing> CHEAPEST_FIRST = Comparator.comparingDouble(OfThing::hardHours)
                .thenComparingDouble(OfThing::promisedHours)
                .thenComparingLong(h -> h.marginLost().value());

        private boolean costsNothing() {
            return !losesADate() && marginLost.value() == 0;
        }

        private boolean losesADate() {
            return hardHours > Score.NOISE || promisedHours > Score.NOISE;
        }
    }

    /**
     * Of all that is outside or must still come in, the worst first; empty where it was told not to go on.
     *
     * @param base the plan of the shop as it is
     */
    public static Optional<List<OfThing>> of(ShopSnapshot shop, Plan base, BooleanSupplier goOn) {
        return new DelayImpact(shop, base).all(goOn);
    }

    private Optional<List<OfThing>> all(BooleanSupplier goOn) {
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
                            : cost(
                                    harmless(part.id().value(), inHand, Optional.of(need)),
                                    later(part, comes),
                                    waitingFor(part)));
        }
        for (Work work : shop.works()) {
            if (work instanceof Outwork outwork && outwork.status() != Status.DONE) {
                if (!goOn.getAsBoolean()) {
                    return Optional.empty();
                }
                all.add(of(needs, outwork));
            }
        }
        all.sort(OfThing.WORST_FIRST);
        return Optional.of(all);
    }

    private OfThing of(LatestDates needs, Outwork outwork) {
        Duration inHand = base.placed().stream()
                .filter(p -> p.work().equals(outwork.id()))
                .findFirst()
                .map(p -> Duration.between(p.end(), needs.outwork().getOrDefault(p.work(), p.end())))
                .orElse(Duration.ZERO);
        OfThing harmless = harmless(outwork.id().value(), inHand, Optional.empty());
        if (inHand.compareTo(DAY) >= 0) {
            return harmless;
        }
        var days = outwork.turnaround();
        Outwork later = outwork.withTiming(
                new Outwork.Turnaround(days.low() + 1, days.likely() + 1, days.high() + 1),
                outwork.away().map(a -> new Outwork.Away(a.since(), later(a.back()))));
        ShopSnapshot with = shop.withWorks(shop.works().stream()
                .map(w -> w.id().equals(outwork.id()) ? later : w)
                .toList());
        return cost(harmless, with, Set.of(outwork.build()));
    }

    private Set<BuildId> waitingFor(PartLine part) {
        return shop.works().stream()
                .filter(work -> work instanceof Job job && job.parts().contains(part.id()))
                .map(Work::build)
                .collect(Collectors.toUnmodifiableSet());
    }

    private OfThing cost(OfThing harmless, ShopSnapshot with, Set<BuildId> cars) {
        OfThing quick = cost(harmless, with, cars, fewSteps());
        // That a date is lost is not said lightly.
        return quick.losesADate() ? cost(harmless, with, cars, MANY_STEPS) : quick;
    }

    private OfThing cost(OfThing harmless, ShopSnapshot with, Set<BuildId> cars, long steps) {
        OfThing asItStands = between(harmless, base, mended(with, Set.of(), steps));
        if (asItStands.costsNothing()) {
            return asItStands;
        }
        OfThing own = lettingGo(harmless, with, cars, steps);
        OfThing cheaper = OfThing.CHEAPEST_FIRST.compare(own, asItStands) < 0 ? own : asItStands;
        if (!cheaper.losesADate()) {
            return cheaper;
        }
        // Where another car's date would pay for it, that car may make the best of it too.
        Set<BuildId> all = new TreeSet<>(cars);
        shop.commitments().stream()
                .filter(c -> cheaper.hardest().filter(c.id()::equals).isPresent())
                .forEach(c -> all.add(c.build()));
        OfThing both = lettingGo(harmless, with, Set.copyOf(all), steps);
        return OfThing.CHEAPEST_FIRST.compare(both, cheaper) < 0 ? both : cheaper;
    }

    private OfThing lettingGo(OfThing harmless, ShopSnapshot with, Set<BuildId> cars, long steps) {
        Plan without = atEase.computeIfAbsent(new AtEase(cars, steps), c -> mended(shop, cars, steps));
        return between(harmless, without, mended(with, cars, steps));
    }

    private long fewSteps() {
        return Math.max(
                LEAST_STEPS,
                Math.min(MOST_STEPS, LEAST_STEPS * 1_000 / shop.works().size()));
    }

    private ShopSnapshot later(PartLine part, Instant comes) {
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

    private Plan mended(ShopSnapshot with, Set<BuildId> letGo, long steps) {
        ShopSnapshot standing = with.withTaken(base);
        return Planner.plan(
                standing, PlanOptions.interactive(standing).withSteps(steps).lettingGo(letGo));
    }

    private static OfThing harmless(String id, Duration inHand, Optional<LatestDates.PartNeed> need) {
        return new OfThing(id, inHand, 0, 0, Minutes.of(0), Optional.empty(), Minutes.of(0), need);
    }

    private static long lastOf(Minutes margin) {
        return Math.max(0, Math.min(ENOUGH.value(), margin.value()));
    }

    private static OfThing between(OfThing harmless, Plan base, Plan later) {
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
            Minutes is = after.margin().get();
            long closer = Math.max(0, lastOf(was) - lastOf(is));
            lost += closer;
            long late = Math.max(0, -is.value()) - Math.max(0, -was.value());
            long loses = late > 0 ? was.value() - is.value() : closer;
            if (late > mostLate || late == mostLate && loses > most) {
                most = loses;
                mostLate = late;
                hardest = Optional.of(after.commitment());
            }
        }
        return new OfThing(
                harmless.id(),
                harmless.inHand(),
                Math.max(0, later.score().hardLateness() - base.score().hardLateness()),
                Math.max(0, later.score().promisedLateness() - base.score().promisedLateness()),
                Minutes.of(lost),
                hardest,
                Minutes.of(most),
                harmless.need());
    }
}
