package galecrest.core.insight;

import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.ReleaseDates;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.BackwardPass;
import galecrest.core.planner.sgs.SerialScheduler;
import galecrest.core.risk.BetaPert;
import galecrest.core.risk.OwnFloat;
import galecrest.core.risk.Replay;
import galecrest.core.time.Arrival;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * How late everything may be without harm to a date. A date that is late already is taken to be no later than it is.
 *
 * @param latestStarts when each work must start at the latest if everything else is as late as can be, too, with the same
 *     people and stations
 * @param parts what each part that is not here must keep to, if it alone is late
 * @param outwork when each piece of outwork must be back at the latest, if it alone is late
 */
public record LatestDates(Map<WorkId, Instant> latestStarts, List<PartNeed> parts, Map<WorkId, Instant> outwork) {
    /** A promised lead time is kept with this chance, where an order is to be in time. */
    private static final double SURE = 0.8;

    private static final int SLOTS_A_DAY = 24 * 60 / TimeGrid.SLOT_MINUTES;

    public LatestDates {
        latestStarts = Map.copyOf(latestStarts);
        parts = List.copyOf(parts);
        outwork = Map.copyOf(outwork);
    }

    /**
     * A part that is waited for.
     *
     * @param neededAt the last instant at which it can come, inspection still to be done
     * @param orderBy the last instant to order it, of one that is not ordered yet: needed-at less the time within which
     *     four of five such parts come, by the vendor's price list and its working days where the part is on it
     * @param daysLeft shop days until then, negative when over; of one that is not ordered yet
     */
    public record PartNeed(PartId part, Instant neededAt, Optional<Instant> orderBy, Optional<Integer> daysLeft) {}

    /** What a plan leaves each work, part and outside firm; it takes a replay for each try, so ask in the background. */
    public static LatestDates of(ShopSnapshot shop, Plan plan) {
        return of(shop, plan, () -> true).orElseThrow();
    }

    /** The same, asking before each part and each outside firm whether to go on; empty where it is told not to. */
    public static Optional<LatestDates> of(ShopSnapshot shop, Plan plan, BooleanSupplier goOn) {
        Replayed replayed = new Replayed(shop, plan);
        ReleaseDates outside = new ReleaseDates(shop, replayed.problem.grid, replayed.problem.calendars);
        OwnFloat own = new OwnFloat(replayed.replay);
        Map<WorkId, Instant> backs = new HashMap<>();
        for (int node : replayed.replay.order) {
            if (replayed.problem.network.works.get(node) instanceof Outwork outwork) {
                if (!goOn.getAsBoolean()) {
                    return Optional.empty();
                }
                backs.put(outwork.id(), replayed.problem.grid.instant(back(own, replayed.schedule, node, outwork)));
            }
        }
        Map<PartId, List<Integer>> users = replayed.users();
        List<PartNeed> parts = new ArrayList<>();
        for (PartLine part : shop.parts()) {
            List<Integer> nodes = users.getOrDefault(part.id(), List.of());
            if (!nodes.isEmpty() && !part.state().here()) {
                if (!goOn.getAsBoolean()) {
                    return Optional.empty();
                }
                parts.add(need(replayed.problem, part, comes(own, outside, part, nodes)));
            }
        }
        return Optional.of(new LatestDates(replayed.latestStarts(), parts, backs));
    }

    /** Only when each work must start at the latest, which is quick. */
    public static Map<WorkId, Instant> latestStarts(ShopSnapshot shop, Plan plan) {
        return new Replayed(shop, plan).latestStarts();
    }

    /** The plan as a schedule, and what hangs on what in it. */
    private static final class Replayed {
        private final SchedulingProblem problem;
        private final Replay replay;
        private final SerialScheduler schedule;

        Replayed(ShopSnapshot shop, Plan plan) {
            problem = new SchedulingProblem(
                    new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
            replay = new Replay(problem, plan);
            schedule = Replay.schedule(replay.policy);
            schedule.generate(replay.order, replay.choices);
        }

        Map<WorkId, Instant> latestStarts() {
            double[] late = new BackwardPass(replay.policy).keys(schedule);
            Map<WorkId, Instant> starts = new HashMap<>();
            for (int node : replay.order) {
                int latest = Math.max(schedule.start[node], (int) late[node]);
                starts.put(problem.network.works.get(node).id(), problem.grid.instant(latest));
            }
            return starts;
        }

        /** The nodes that wait for each part, its other half included. */
        Map<PartId, List<Integer>> users() {
            Map<PartId, PartLine> lines = new HashMap<>();
            problem.network.shop.parts().forEach(p -> lines.put(p.id(), p));
            Map<PartId, List<Integer>> users = new HashMap<>();
            for (int node : replay.order) {
                if (problem.network.works.get(node) instanceof Job job && job.status() == Status.TODO) {
                    for (PartId id : job.parts()) {
                        PartLine part = lines.get(id);
                        users.computeIfAbsent(id, p -> new ArrayList<>()).add(node);
                        part.pairedWith().filter(p -> part.waitsForPair()).ifPresent(pair -> users.computeIfAbsent(
                                        pair, p -> new ArrayList<>())
                                .add(node));
                    }
                }
            }
            return users;
        }
    }

    /** The last slot at which a part can come without harm, inspection to be done, for all that needs it. */
    private static int comes(OwnFloat own, ReleaseDates outside, PartLine part, List<Integer> nodes) {
        return own.latest(
                (trial, slot) -> {
                    int ready = outside.inspected(part, slot);
                    nodes.forEach(n -> trial.boundSlot[n] = Math.max(trial.boundSlot[n], ready));
                },
                outside.arrives(part));
    }

    /** The last slot at which outwork can be back without harm; what is inspected there needs its time after that. */
    private static int back(OwnFloat own, SerialScheduler planned, int node, Outwork outwork) {
        if (outwork.away().isPresent()) {
            return own.latest((trial, slot) -> trial.back[node] = Math.max(trial.back[node], slot), planned.end[node]);
        }
        int leaves = own.latest(
                (trial, slot) -> trial.boundSlot[node] = Math.max(trial.boundSlot[node], slot), planned.start[node]);
        return planned.end[node] + leaves - planned.start[node];
    }

    private static PartNeed need(SchedulingProblem problem, PartLine part, int at) {
        Instant neededAt = problem.grid.instant(at);
        if (!part.state().toOrder()) {
            return new PartNeed(part.id(), neededAt, Optional.empty(), Optional.empty());
        }
        ShopSnapshot shop = problem.network.shop;
        Instant now = problem.grid.instant(0);
        Optional<Instant> byList = part.vendor().flatMap(shop::vendor).flatMap(v -> v.offer(part.name())
                .flatMap(o -> v.lastOrder(o, neededAt, now, shop.zone(), LatestDates::sureBy)));
        if (byList.isPresent()) {
            return new PartNeed(part.id(), neededAt, byList, Optional.of(shopDays(problem, byList.get())));
        }
        Duration lead = shop.expected(part)
                .map(a -> Duration.between(now, sureBy(a)))
                .orElse(shop.rules().unknownArrival());
        Instant orderBy = neededAt.minus(lead);
        return new PartNeed(part.id(), neededAt, Optional.of(orderBy), Optional.of(shopDays(problem, orderBy)));
    }

    /** By when four of five such arrivals are there. */
    private static Instant sureBy(Arrival arrival) {
        return Instant.ofEpochSecond(Math.round(BetaPert.quantile(
                SURE,
                arrival.low().getEpochSecond(),
                arrival.likely().getEpochSecond(),
                arrival.high().getEpochSecond())));
    }

    /** Days on which somebody is in the shop between now and then. */
    private static int shopDays(SchedulingProblem problem, Instant then) {
        int target = problem.grid.atOrBefore(then);
        if (target <= 0) {
            return -Math.floorDiv(-target, SLOTS_A_DAY);
        }
        int days = 0;
        for (int slot = 0; slot < target; ) {
            int midnight = problem.grid.nextDay(slot);
            if (problem.calendars.shopHours().opensWithin(slot, Math.min(target, midnight))) {
                days++;
            }
            slot = midnight;
        }
        return days;
    }
}
