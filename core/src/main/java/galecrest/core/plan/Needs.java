package galecrest.core.plan;

import galecrest.core.build.Job;
import galecrest.core.build.Outwork;
import galecrest.core.build.Status;
import galecrest.core.build.WorkId;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.time.Arrival;
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
public record Needs(Map<WorkId, Instant> latestStarts, List<PartNeed> parts, Map<WorkId, Instant> outwork) {
    /** A promised lead time is kept with this chance, where an order is to be in time. */
    private static final double SURE = 0.8;

    private static final int SLOTS_A_DAY = 24 * 60 / Grid.SLOT_MINUTES;

    public Needs {
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
    public static Needs of(ShopSnapshot shop, Plan plan) {
        return of(shop, plan, () -> true).orElseThrow();
    }

    /** The same, asking before each part and each outside firm whether to go on; empty where it is told not to. */
    public static Optional<Needs> of(ShopSnapshot shop, Plan plan, BooleanSupplier goOn) {
        Replayed replayed = new Replayed(shop, plan);
        Bounds outside = new Bounds(shop, replayed.model.grid, replayed.model.calendars);
        OwnFloat own = new OwnFloat(replayed.replay);
        Map<WorkId, Instant> backs = new HashMap<>();
        for (int node : replayed.replay.order) {
            if (replayed.model.network.works.get(node) instanceof Outwork outwork) {
                if (!goOn.getAsBoolean()) {
                    return Optional.empty();
                }
                backs.put(outwork.id(), replayed.model.grid.instant(back(own, replayed.schedule, node, outwork)));
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
                parts.add(need(replayed.model, part, comes(own, outside, part, nodes)));
            }
        }
        return Optional.of(new Needs(replayed.latestStarts(), parts, backs));
    }

    /** Only when each work must start at the latest, which is quick. */
    public static Map<WorkId, Instant> latestStarts(ShopSnapshot shop, Plan plan) {
        return new Replayed(shop, plan).latestStarts();
    }

    /** The plan as a schedule, and what hangs on what in it. */
    private static final class Replayed {
        private final Model model;
        private final Replay replay;
        private final Schedule schedule;

        Replayed(ShopSnapshot shop, Plan plan) {
            model = new Model(new Network(shop, new Grid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
            replay = new Replay(model, plan);
            schedule = Replay.schedule(replay.policy);
            schedule.generate(replay.order, replay.choices);
        }

        Map<WorkId, Instant> latestStarts() {
            double[] late = new Mirror(replay.policy).keys(schedule);
            Map<WorkId, Instant> starts = new HashMap<>();
            for (int node : replay.order) {
                int latest = Math.max(schedule.start[node], (int) late[node]);
                starts.put(model.network.works.get(node).id(), model.grid.instant(latest));
            }
            return starts;
        }

        /** The nodes that wait for each part, its other half included. */
        Map<PartId, List<Integer>> users() {
            Map<PartId, PartLine> lines = new HashMap<>();
            model.network.shop.parts().forEach(p -> lines.put(p.id(), p));
            Map<PartId, List<Integer>> users = new HashMap<>();
            for (int node : replay.order) {
                if (model.network.works.get(node) instanceof Job job && job.status() == Status.TODO) {
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
    private static int comes(OwnFloat own, Bounds outside, PartLine part, List<Integer> nodes) {
        return own.latest(
                (trial, slot) -> {
                    int ready = outside.inspected(part, slot);
                    nodes.forEach(n -> trial.boundSlot[n] = Math.max(trial.boundSlot[n], ready));
                },
                outside.arrives(part));
    }

    /** The last slot at which outwork can be back without harm; what is inspected there needs its time after that. */
    private static int back(OwnFloat own, Schedule planned, int node, Outwork outwork) {
        if (outwork.away().isPresent()) {
            return own.latest((trial, slot) -> trial.back[node] = Math.max(trial.back[node], slot), planned.end[node]);
        }
        int leaves = own.latest(
                (trial, slot) -> trial.boundSlot[node] = Math.max(trial.boundSlot[node], slot), planned.start[node]);
        return planned.end[node] + leaves - planned.start[node];
    }

    private static PartNeed need(Model model, PartLine part, int at) {
        Instant neededAt = model.grid.instant(at);
        if (!part.state().toOrder()) {
            return new PartNeed(part.id(), neededAt, Optional.empty(), Optional.empty());
        }
        ShopSnapshot shop = model.network.shop;
        Instant now = model.grid.instant(0);
        Optional<Instant> byList = part.vendor().flatMap(shop::vendor).flatMap(v -> v.offer(part.name())
                .flatMap(o -> v.lastOrder(o, neededAt, now, shop.zone(), Needs::sureBy)));
        if (byList.isPresent()) {
            return new PartNeed(part.id(), neededAt, byList, Optional.of(shopDays(model, byList.get())));
        }
        Duration lead = shop.expected(part)
                .map(a -> Duration.between(now, sureBy(a)))
                .orElse(shop.rules().unknownArrival());
        Instant orderBy = neededAt.minus(lead);
        return new PartNeed(part.id(), neededAt, Optional.of(orderBy), Optional.of(shopDays(model, orderBy)));
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
    private static int shopDays(Model model, Instant then) {
        int target = model.grid.atOrBefore(then);
        if (target <= 0) {
            return -Math.floorDiv(-target, SLOTS_A_DAY);
        }
        int days = 0;
        for (int slot = 0; slot < target; ) {
            int midnight = model.grid.nextDay(slot);
            if (model.calendars.shopHours().opensWithin(slot, Math.min(target, midnight))) {
                days++;
            }
            slot = midnight;
        }
        return days;
    }
}
