package galecrest.core.plan;

import galecrest.core.build.Job;
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

/**
 * How late everything may be without harm to a date: found by placing all work as late as its dates allow, with the same
 * people and stations. A date that is late already is taken to be no later than it is.
 *
 * @param latestStarts when each work must start at the latest; outwork: leave
 * @param parts what each part that is not here must keep to
 */
public record Needs(Map<WorkId, Instant> latestStarts, List<PartNeed> parts) {
    /** A promised lead time is kept with this chance, where an order is to be in time. */
    private static final double SURE = 0.8;

    private static final int SLOTS_A_DAY = 24 * 60 / Grid.SLOT_MINUTES;

    public Needs {
        latestStarts = Map.copyOf(latestStarts);
        parts = List.copyOf(parts);
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

    /** What a plan's order leaves each work and part. */
    public static Needs of(ShopSnapshot shop, Guide guide) {
        Model model = new Model(new Network(shop, new Grid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
        Schedule schedule = new Schedule(model);
        schedule.generate(Order.by(model, Planner.keys(model, guide)), Choices.of(model, guide));
        double[] late = new Mirror(model).keys(schedule);
        Map<WorkId, Instant> starts = new HashMap<>();
        Map<PartId, Integer> needed = new HashMap<>();
        for (int node = 0; node < model.size; node++) {
            if (!schedule.planned(node)) {
                continue;
            }
            int latest = Math.max(schedule.start[node], (int) late[node]);
            var work = model.network.works.get(node);
            starts.put(work.id(), model.grid.instant(latest));
            if (work instanceof Job job) {
                job.parts().forEach(p -> needed.merge(p, latest, Math::min));
            }
        }
        List<PartNeed> parts = new ArrayList<>();
        for (PartLine part : shop.parts()) {
            Integer slot = needed.get(part.id());
            if (slot != null && !part.state().here()) {
                parts.add(need(model, part, slot));
            }
        }
        return new Needs(starts, parts);
    }

    private static PartNeed need(Model model, PartLine part, int start) {
        SlotWindows open = model.calendars.shopHours();
        int inspection = Grid.slotsFor(part.inspection().value());
        int at = start;
        if (inspection > 0) {
            int before = open.workBefore(start) - inspection;
            at = before <= 0 ? 0 : open.finish(0, before);
        }
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
