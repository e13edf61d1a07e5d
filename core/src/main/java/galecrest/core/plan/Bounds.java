package galecrest.core.plan;

import galecrest.core.build.Job;
import galecrest.core.build.Link;
import galecrest.core.build.Outwork;
import galecrest.core.build.Status;
import galecrest.core.build.Work;
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

/** What bounds the start of work from outside the network: dates, holds, parts and links to what is done. */
final class Bounds {
    private final ShopSnapshot shop;
    private final Grid grid;
    private final Calendars calendars;
    private final Map<PartId, PartLine> parts = new HashMap<>();

    Bounds(ShopSnapshot shop, Grid grid, Calendars calendars) {
        this.shop = shop;
        this.grid = grid;
        this.calendars = calendars;
        shop.parts().forEach(p -> parts.put(p.id(), p));
    }

    List<Network.Bound> of(Work work) {
        List<Network.Bound> bounds = new ArrayList<>();
        work.notBefore().ifPresent(at -> bounds.add(new Network.Bound(grid.atOrAfter(at), new Because.NotBefore(at))));
        work.hold().ifPresent(hold -> {
            Instant until = hold.until().filter(shop.now()::isBefore).orElse(grid.instant(grid.nextDay(0)));
            bounds.add(new Network.Bound(grid.atOrAfter(until), new Because.Held(hold.reason(), hold.note(), until)));
        });
        if (work instanceof Job job && job.status() == Status.TODO) {
            for (PartId id : job.parts()) {
                partBound(parts.get(id)).ifPresent(bounds::add);
            }
        }
        return bounds;
    }

    private Optional<Network.Bound> partBound(PartLine part) {
        Optional<Network.Bound> own = here(part);
        if (!part.waitsForPair()) {
            return own;
        }
        Optional<Network.Bound> partner = part.pairedWith().flatMap(id -> here(parts.get(id)));
        if (own.isEmpty()
                || partner.isPresent() && partner.get().slot() > own.get().slot()) {
            return partner;
        }
        return own;
    }

    /** When the part itself is here and inspected; empty where it is already. */
    private Optional<Network.Bound> here(PartLine part) {
        if (part.state().here()) {
            return Optional.empty();
        }
        boolean assumed = shop.expected(part).isEmpty() && !part.state().toInspect();
        int ready = inspected(part, arrives(part));
        return Optional.of(new Network.Bound(ready, new Because.Part(part.id(), grid.instant(ready), assumed)));
    }

    /** The slot at which a part that has not been accepted is expected in the house; 0 where it is there. */
    int arrives(PartLine part) {
        return part.state().toInspect()
                ? 0
                : shop.expected(part)
                        .map(this::expected)
                        .orElseGet(() -> Grid.slotsFor(shop.rules().unknownArrival()));
    }

    /** When a part that arrives at a slot has been inspected. */
    int inspected(PartLine part, int arrives) {
        int inspection = Grid.slotsFor(part.inspection().value());
        return inspection == 0 ? arrives : calendars.shopHours().finish(arrives, inspection);
    }

    /**
     * The slot at which something outside is expected: the likely date; once that has passed the latest one; once
     * that has passed too, tomorrow.
     */
    int expected(Arrival arrival) {
        if (shop.now().isBefore(arrival.likely())) {
            return grid.atOrAfter(arrival.likely());
        }
        return shop.now().isBefore(arrival.high()) ? grid.atOrAfter(arrival.high()) : grid.nextDay(0);
    }

    /** The bound that a link from done work still sets, by its cure time or lag. */
    Optional<Network.Bound> afterDone(Work done, Link link) {
        Instant finished = done.doneAt().orElse(shop.now());
        Duration cure = done instanceof Job job ? job.cure() : Duration.ZERO;
        boolean fromFinish = link.type() == Link.Type.FINISH_START;
        int ready = grid.atOrAfter(fromFinish ? finished.plus(cure) : finished);
        int lag = Grid.slotsFor(link.lag().minutes().value());
        int slot = lagged(
                Math.max(ready, link.lag().working() ? 0 : ready),
                lag,
                link.lag().working());
        boolean curing = fromFinish && !cure.isZero();
        return slot <= 0
                ? Optional.empty()
                : Optional.of(new Network.Bound(
                        slot, new Because.After(done.id(), done instanceof Outwork, curing, lag > 0)));
    }

    int lagged(int slot, int lag, boolean working) {
        return lag == 0 || !working ? slot + lag : calendars.shopHours().finish(slot, lag);
    }
}
