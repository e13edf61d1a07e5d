package galecrest.core.insight;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.StationId;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Hold;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What the manager wants to hear of a car: where it is, what it is doing, what comes next, what holds it.
 *
 * @param doing work going on at the car now
 * @param next the work that the plan starts next
 * @param held the one hold to know about, that of the most pressing work that cannot start yet
 * @param nextDate the commitment with the least margin among those ahead
 * @param away the outwork that the whole car is away for
 * @param atDate the date that it has left for: all that this needs is done, and it is not due back yet
 * @param station where it stands, by the work going on or about to
 */
public record CarStatus(
        BuildId build,
        List<WorkId> doing,
        Optional<WorkId> next,
        Optional<HeldBy> held,
        Optional<CommitmentId> nextDate,
        Optional<WorkId> away,
        Optional<CommitmentId> atDate,
        Optional<StationId> station) {
    /** What holds which work, since which reason. */
    public record HeldBy(WorkId work, ReasonTag tag, Because because, boolean needsSomebody) {}

    /** Reports of all builds, in the order of the snapshot. */
    public static List<CarStatus> all(ShopSnapshot shop, Plan plan) {
        Map<WorkId, Plan.Placed> placed = plan.byWork();
        Map<CommitmentId, Plan.Outlook> outlooks = new HashMap<>();
        plan.outlooks().forEach(o -> outlooks.put(o.commitment(), o));
        Map<BuildId, List<Work>> openOf = shop.works().stream()
                .filter(w -> w.status() != Status.DONE)
                .collect(Collectors.groupingBy(Work::build));
        Set<WorkId> waiting = behindOpenWork(shop);
        Map<BuildId, StationId> standing = standing(shop, plan);
        List<CarStatus> reports = new ArrayList<>();
        for (var build : shop.builds()) {
            List<Work> open = openOf.getOrDefault(build.id(), List.of());
            Optional<CommitmentId> date = pressing(shop, outlooks, build.id());
            List<WorkId> doing = open.stream()
                    .filter(w -> w instanceof Job job && goingOn(job))
                    .map(Work::id)
                    .toList();
            reports.add(new CarStatus(
                    build.id(),
                    doing,
                    next(open, placed),
                    held(
                            shop,
                            open,
                            placed,
                            waiting,
                            date.map(d -> outlooks.get(d).chain()).orElse(List.of())),
                    date,
                    open.stream()
                            .filter(w -> w instanceof Outwork o
                                    && o.wholeCar()
                                    && o.away().isPresent())
                            .map(Work::id)
                            .findFirst(),
                    left(shop, build.id()).map(Commitment::id),
                    Optional.ofNullable(standing.get(build.id()))));
        }
        return reports;
    }

    private static Optional<Commitment> left(ShopSnapshot shop, BuildId build) {
        return shop.commitments().stream()
                .filter(c -> c.build().equals(build) && c.away().isPresent())
                .filter(c -> !shop.now().isBefore(c.due())
                        && shop.now().isBefore(c.away().get().to()))
                .filter(c -> shop.works().stream().noneMatch(w -> w.status() != Status.DONE && c.needs(w)))
                .findFirst();
    }

    /** Whether somebody is on the job; it may have been started and left. */
    private static boolean goingOn(Job job) {
        return job.hold().isEmpty()
                && job.started().isPresent()
                && !job.started().get().by().isEmpty();
    }

    private static Optional<WorkId> next(List<Work> open, Map<WorkId, Plan.Placed> placed) {
        return open.stream()
                .filter(w -> !(w instanceof Outwork o && o.away().isPresent()) && placed.containsKey(w.id()))
                .filter(w -> !(w instanceof Job job && goingOn(job)))
                .min(Comparator.comparing((Work w) -> placed.get(w.id()).start())
                        .thenComparing(Work::id))
                .map(Work::id);
    }

    private static Optional<CommitmentId> pressing(
            ShopSnapshot shop, Map<CommitmentId, Plan.Outlook> outlooks, BuildId build) {
        return shop.commitments().stream()
                .filter(c -> c.build().equals(build))
                .filter(c -> c.due().isAfter(shop.now()) || outlooks.get(c.id()).late())
                .min(Comparator.comparingLong((Commitment c) -> outlooks.get(c.id())
                                .margin()
                                .map(m -> m.value())
                                .orElse(Long.MIN_VALUE))
                        .thenComparing(Commitment::due)
                        .thenComparing(Commitment::id))
                .map(Commitment::id);
    }

    /** The hold on the chain of the pressing date first, else of the work that would start soonest. */
    private static Optional<HeldBy> held(
            ShopSnapshot shop,
            List<Work> open,
            Map<WorkId, Plan.Placed> placed,
            Set<WorkId> waiting,
            List<WorkId> chainOfDate) {
        Set<WorkId> chain = Set.copyOf(chainOfDate);
        return open.stream()
                .filter(w -> placed.containsKey(w.id()) && !waiting.contains(w.id()))
                .filter(w -> holds(shop, w, placed.get(w.id())))
                .min(Comparator.comparing((Work w) -> !chain.contains(w.id()))
                        .thenComparing(w -> placed.get(w.id()).start())
                        .thenComparing(Work::id))
                .map(w -> {
                    Because because = placed.get(w.id()).because();
                    ReasonTag tag =
                            w instanceof Outwork ? ReasonTag.OUT : because.tag().orElseThrow();
                    return new HeldBy(w.id(), tag, because, needsSomebody(shop, w, because));
                });
    }

    /**
     * Whether somebody must do something for it to go on: decide, help, chase what has no date or is overdue. What merely
     * waits its turn, or comes when it was promised, needs nobody.
     */
    private static boolean needsSomebody(ShopSnapshot shop, Work work, Because because) {
        if (work instanceof Outwork outwork && outwork.away().isPresent()) {
            return !shop.now().isBefore(outwork.away().get().back().high());
        }
        if (because instanceof Because.Held) {
            return work.hold().flatMap(Hold::until).filter(shop.now()::isBefore).isEmpty();
        }
        if (because instanceof Because.Part part) {
            return part.assumed()
                    || shop.parts().stream()
                            .filter(p ->
                                    p.id().equals(part.part()) && !p.state().toInspect())
                            .anyMatch(p -> p.arrival()
                                    .filter(a -> a.likely().isBefore(shop.now()))
                                    .isPresent());
        }
        return false;
    }

    /** Work that could not go on anyway, since what it follows is not done. */
    private static Set<WorkId> behindOpenWork(ShopSnapshot shop) {
        Set<WorkId> open = new HashSet<>();
        shop.works().stream().filter(w -> w.status() != Status.DONE).forEach(w -> open.add(w.id()));
        Set<WorkId> behind = new HashSet<>();
        Set<WorkId> away = new HashSet<>();
        shop.works().stream()
                .filter(w -> w instanceof Outwork o && o.away().isPresent())
                .forEach(w -> away.add(w.id()));
        shop.links().stream()
                .filter(l -> l.risk().isEmpty() && l.type() == Link.Type.FINISH_START)
                .filter(l -> open.contains(l.first()) && !away.contains(l.first()))
                .forEach(l -> behind.add(l.then()));
        return behind;
    }

    private static boolean holds(ShopSnapshot shop, Work work, Plan.Placed placed) {
        if (work instanceof Outwork outwork && outwork.away().isPresent()) {
            return true;
        }
        boolean waits = placed.because().tag().isPresent() && placed.start().isAfter(shop.now());
        boolean justTheOrder = placed.because() instanceof Because.After a && !a.outside() && !a.curing();
        return waits && !justTheOrder;
    }

    private static Map<BuildId, StationId> standing(ShopSnapshot shop, Plan plan) {
        Map<BuildId, StationId> standing = new HashMap<>();
        Map<WorkId, Work> works = new HashMap<>();
        shop.works().forEach(w -> works.put(w.id(), w));
        Set<StationId> taken = new HashSet<>();
        Set<BuildId> away = new HashSet<>();
        for (Work work : shop.works()) {
            if (work instanceof Outwork o && o.wholeCar() && o.away().isPresent() && o.status() != Status.DONE) {
                away.add(o.build());
            }
        }
        shop.builds().stream()
                .map(Build::id)
                .filter(b -> left(shop, b).isPresent())
                .forEach(away::add);
        for (boolean going : new boolean[] {true, false}) {
            for (Plan.Placed p : plan.placed()) {
                Work work = works.get(p.work());
                boolean onCar = work instanceof Job job && job.onCar();
                boolean counts = going ? work.status() == Status.STARTED : soon(shop.now(), p.start());
                if (onCar && counts && p.station().isPresent() && !away.contains(work.build())) {
                    StationId station = p.station().get();
                    if (!standing.containsKey(work.build()) && taken.add(station)) {
                        standing.put(work.build(), station);
                    }
                }
            }
        }
        return standing;
    }

    /** A car waits where its next work is, when that is within two days. */
    private static boolean soon(Instant now, Instant start) {
        return start.isBefore(now.plus(java.time.Duration.ofDays(2)));
    }
}
