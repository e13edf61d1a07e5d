package galecrest.core.planner.network;

import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.plan.Because;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.Calendars;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.time.Arrival;
import galecrest.core.work.Hold;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What bounds the start of work from outside the network: dates, holds, parts and links to what is done. */
public final class ReleaseDates {
    private final ShopSnapshot shop;
    private final TimeGrid grid;
    private final Calendars calendars;
    private final Map<PartId, PartLine> parts = new HashMap<>();

    /** Release dates in slots of the grid. */
    public ReleaseDates(ShopSnapshot shop, TimeGrid grid, Calendars calendars) {
        this.shop = shop;
        this.grid = grid;
        this.calendars = calendars;
        shop.parts().forEach(p -> parts.put(p.id(), p));
    }

    List<ActivityNetwork.Bound> of(Work work) {
        List<ActivityNetwork.Bound> bounds = new ArrayList<>();
        work.notBefore()
                .ifPresent(at -> bounds.add(new ActivityNetwork.Bound(grid.atOrAfter(at), new Because.NotBefore(at))));
        work.hold().flatMap(Hold::part).flatMap(id -> partBound(parts.get(id))).ifPresent(bounds::add);
        work.hold().filter(hold -> hold.part().isEmpty()).ifPresent(hold -> {
            Instant until = hold.until().filter(shop.now()::isBefore).orElse(grid.instant(grid.nextDay(0)));
            bounds.add(new ActivityNetwork.Bound(
                    grid.atOrAfter(until), new Because.Held(hold.reason(), hold.note(), until)));
        });
        if (work instanceof Job job && job.status() == Status.TODO) {
            for (PartId id : job.parts()) {
                partBound(parts.get(id)).ifPresent(bounds::add);
            }
        }
        return bounds;
    }

    private Optional<ActivityNetwork.Bound> partBound(PartLine part) {
        Optional<ActivityNetwork.Bound> own = here(part);
        if (!part.waitsForPair()) {
            return own;
        }
        Optional<ActivityNetwork.Bound> partner = part.pairedWith().flatMap(id -> here(parts.get(id)));
        if (own.isEmpty()
                || partner.isPresent() && partner.get().slot() > own.get().slot()) {
            return partner;
        }
        return own;
    }

    /** When the part itself is here and inspected; empty where it is already. */
    private Optional<ActivityNetwork.Bound> here(PartLine part) {
        if (part.state().here()) {
            return Optional.empty();
        }
        boolean assumed = shop.expected(part).isEmpty() && !part.state().toInspect();
        int ready = inspected(part, arrives(part));
        return Optional.of(new ActivityNetwork.Bound(ready, new Because.Part(part.id(), grid.instant(ready), assumed)));
    }

    /** The slot at which a part that has not been accepted is expected in the house; 0 where it is there. */
    public int arrives(PartLine part) {
        return part.state().toInspect()
                ? 0
                : shop.expected(part)
                        .map(this::expected)
                        .orElseGet(() -> TimeGrid.slotsFor(shop.rules().unknownArrival()));
    }

    /** When a part that arrives at a slot has been inspected. */
    public int inspected(PartLine part, int arrives) {
        int inspection = TimeGrid.slotsFor(part.inspection().value());
        return inspection == 0 ? arrives : calendars.shopHours().finish(arrives, inspection);
    }

    /**
     * The slot at which something outside is expected: the likely date; once that has passed the latest one; once
     * that has passed too, tomorrow.
     */
    public int expected(Arrival arrival) {
        if (shop.now().isBefore(arrival.likely())) {
            return grid.atOrAfter(arrival.likely());
        }
        return shop.now().isBefore(arrival.high()) ? grid.atOrAfter(arrival.high()) : grid.nextDay(0);
    }

    /** The bound that a link from done work still sets, by its cure time or lag. */
    Optional<ActivityNetwork.Bound> afterDone(Work done, Link link) {
        Instant finished = done.doneAt().orElse(shop.now());
        Duration cure = done instanceof Job job ? job.cure() : Duration.ZERO;
        boolean fromFinish = link.type() == Link.Type.FINISH_START;
        int ready = grid.atOrAfter(fromFinish ? finished.plus(cure) : finished);
        int lag = TimeGrid.slotsFor(link.lag().minutes().value());
        int slot = lagged(
                Math.max(ready, link.lag().working() ? 0 : ready),
                lag,
                link.lag().working());
        boolean curing = fromFinish && !cure.isZero();
        return slot <= 0
                ? Optional.empty()
                : Optional.of(new ActivityNetwork.Bound(
                        slot, new Because.After(done.id(), done instanceof Outwork, curing, lag > 0)));
    }

    int lagged(int slot, int lag, boolean working) {
        return lag == 0 || !working ? slot + lag : calendars.shopHours().finish(slot, lag);
    }
}
