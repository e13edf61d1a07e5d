package galecrest.core.plan;

import galecrest.core.build.Outwork;
import galecrest.core.build.Pin;
import galecrest.core.build.PinId;
import galecrest.core.build.Zone;
import galecrest.core.outwork.VendorId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Places outwork: when it leaves, when the vendor has it ready, when it is back and looked over. */
final class OutworkPlacer {
    private final Network network;
    private final Occupancy taken;
    private final Bounds bounds;
    private final Map<VendorId, Integer> vendors = new HashMap<>();

    OutworkPlacer(Network network, Occupancy taken, Bounds bounds) {
        this.network = network;
        this.taken = taken;
        this.bounds = bounds;
        network.shop.vendors().forEach(v -> vendors.put(v.id(), vendors.size()));
    }

    SerialSchedule.Placing place(
            Outwork work, List<Pin> pins, SerialSchedule.Start start, Map<PinId, String> brokenPins) {
        if (work.away().isPresent()) {
            pins.forEach(p -> brokenPins.put(p.id(), work.name() + " is away already."));
            return away(work, work.away().get());
        }
        Integer exactly = null;
        for (Pin pin : pins) {
            if (pin instanceof Pin.NotBefore notBefore) {
                start.notBefore(network.grid.atOrAfter(notBefore.at()), new Because.Pinned(pin.id()));
            } else if (pin instanceof Pin.Exactly at) {
                exactly = network.grid.atOrAfter(at.at());
            } else {
                brokenPins.put(pin.id(), "outwork takes none of the shop's people or stations.");
            }
        }
        Trip trip = work.slot().isPresent() ? bySlot(work, start) : null;
        boolean missed = work.slot().isPresent() && trip == null;
        trip = trip == null
                ? byQueue(work, start, exactly == null ? start.slot() : Math.max(exactly, start.slot()))
                : trip;
        if (trip == null) {
            pins.forEach(p -> brokenPins.put(p.id(), work.name() + " cannot be planned."));
            return SerialSchedule.Placing.not(vendorName(work) + " has no working day left within the time that is"
                    + " planned ahead, or nobody is in the shop to send it.");
        }
        Because because = trip.because;
        for (Pin pin : pins) {
            if (pin instanceof Pin.Exactly at) {
                if (trip.leaves == network.grid.atOrAfter(at.at())) {
                    because = new Because.Pinned(pin.id());
                } else {
                    brokenPins.put(pin.id(), "it cannot leave exactly then.");
                }
            }
        }
        claim(work, trip.leaves, trip.ready);
        return SerialSchedule.Placing.at(new Placement(
                trip.leaves,
                trip.back,
                trip.ready,
                new int[0],
                -1,
                List.of(new int[] {trip.leaves, trip.back}),
                missed,
                because));
    }

    private record Trip(int leaves, int back, int ready, Because because) {}

    private SerialSchedule.Placing away(Outwork work, Outwork.Away away) {
        int back = bounds.expected(away.back());
        int ready = inspected(work, back);
        if (ready == SlotWindows.NEVER) {
            return SerialSchedule.Placing.not("Nobody is in the shop to look it over when it is back.");
        }
        int since = Math.min(network.grid.atOrBefore(away.since()), back - 1);
        claim(work, Math.min(since, 0), ready);
        return SerialSchedule.Placing.at(new Placement(
                since, back, ready, new int[0], -1, List.of(new int[] {since, back}), false, new Because.Nothing()));
    }

    /** The trip to the booked slot; null where it cannot be met. */
    private @Nullable Trip bySlot(Outwork work, SerialSchedule.Start start) {
        var slot = work.slot().orElseThrow();
        int leaves = network.grid.atOrBefore(slot.from().minus(work.transportOut()));
        int back = network.grid.atOrAfter(slot.to().plus(work.transportBack()));
        int ready = inspected(work, back);
        if (leaves < start.slot() || back < start.end() || ready == SlotWindows.NEVER || leaves >= back) {
            return null;
        }
        if (conflict(work, leaves, ready) != null) {
            return null;
        }
        return new Trip(leaves, back, ready, new Because.Slot(slot.from()));
    }

    private @Nullable Trip byQueue(Outwork work, SerialSchedule.Start start, int from) {
        Because cause = null;
        int leaves = from;
        while (true) {
            int open = network.calendars.shopHours().next(leaves);
            if (open == SlotWindows.NEVER) {
                return null;
            }
            leaves = open;
            int arrives = leaves + Grid.slotsFor(work.transportOut());
            int done = network.calendars.vendorClosing(
                    vendors.get(work.vendor()), arrives, work.turnaround().likely());
            int back = done == SlotWindows.NEVER ? done : done + Grid.slotsFor(work.transportBack());
            int ready = done == SlotWindows.NEVER ? done : inspected(work, back);
            if (ready == SlotWindows.NEVER) {
                return null;
            }
            Occupancy.Claim claim = conflict(work, leaves, ready);
            if (back < start.end()) {
                leaves++;
            } else if (claim != null) {
                leaves = claim.to();
                cause = because(claim);
            } else {
                Because because = cause != null ? cause : start.because(leaves, back);
                return new Trip(leaves, back, ready, because);
            }
        }
    }

    private Because because(Occupancy.Claim claim) {
        var until = network.grid.instant(claim.to());
        return switch (claim.hold()) {
            case AWAY -> new Because.CarAway(claim.work(), until);
            case CURING_ZONE, CURING_CAR -> new Because.Curing(claim.work(), until);
            case WHOLE_CAR, ON_CAR -> new Because.WholeCar(claim.work(), until);
        };
    }

    private int inspected(Outwork work, int back) {
        int slots = Grid.slotsFor(work.inspection().value());
        return slots == 0 ? back : network.calendars.shopHours().finish(Math.max(0, back), slots);
    }

    private Occupancy.@Nullable Claim conflict(Outwork work, int leaves, int ready) {
        return work.wholeCar() ? taken.conflict(network.buildOf(work), claimOf(work, leaves, ready)) : null;
    }

    private void claim(Outwork work, int leaves, int ready) {
        if (work.wholeCar()) {
            taken.claim(network.buildOf(work), claimOf(work, leaves, ready));
        }
    }

    private static Occupancy.Claim claimOf(Outwork work, int leaves, int ready) {
        return new Occupancy.Claim(leaves, ready, Occupancy.Hold.AWAY, Zone.FRONT, -1, work.id());
    }

    private String vendorName(Outwork work) {
        return network.shop.vendors().get(vendors.get(work.vendor())).name();
    }
}
