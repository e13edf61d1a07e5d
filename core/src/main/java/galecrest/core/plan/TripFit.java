package galecrest.core.plan;

/** When outwork leaves, when the vendor has it ready, when it is back and looked over. */
final class TripFit {
    private final Model model;
    private final Taken taken;
    /** Why nothing was found, where {@link #find} returns false. */
    String whyNot = "";

    int leaves;
    int back;
    int ready;
    boolean slotMissed;
    final Cause cause = new Cause();

    TripFit(Model model, Taken taken) {
        this.model = model;
        this.taken = taken;
    }

    /** Finds the earliest trip; {@code cause.kind} is {@link Cause#NOTHING} where nothing taken moved it. */
    boolean find(Task.TripTask trip, int node, int from, int endNotBefore) {
        cause.set(Cause.Kind.NOTHING, -1, -1, 0);
        slotMissed = false;
        if (trip.away()) {
            return away(trip, node);
        }
        boolean booked = trip.slotLeaves() != Model.NO_SLOT;
        if (booked && bySlot(trip, from, endNotBefore)) {
            return true;
        }
        slotMissed = booked;
        int first =
                trip.exactly() == null ? from : Math.max(from, trip.exactly().slot());
        if (!byQueue(trip, node, first, endNotBefore)) {
            whyNot = trip.vendorName() + " has no working day left within the time that is planned ahead, or nobody is"
                    + " in the shop to send it.";
            return false;
        }
        return true;
    }

    private boolean away(Task.TripTask trip, int node) {
        back = model.back[node];
        ready = inspected(trip, back);
        if (ready == SlotWindows.NEVER) {
            whyNot = "Nobody is in the shop to look it over when it is back.";
            return false;
        }
        leaves = Math.min(trip.awaySince(), back - 1);
        return true;
    }

    private boolean bySlot(Task.TripTask trip, int from, int endNotBefore) {
        leaves = trip.slotLeaves();
        back = trip.slotBack();
        ready = inspected(trip, back);
        boolean met = leaves >= from && back >= endNotBefore && ready != SlotWindows.NEVER && leaves < back;
        if (!met || conflict(trip) >= 0) {
            return false;
        }
        cause.set(Cause.Kind.SLOT, -1, -1, leaves);
        return true;
    }

    private boolean byQueue(Task.TripTask trip, int node, int from, int endNotBefore) {
        leaves = from;
        while (true) {
            leaves = model.calendars.shopHours().next(leaves);
            if (leaves == SlotWindows.NEVER) {
                return false;
            }
            int first = leaves;
            leaves = intoOpenHours(trip, first);
            if (leaves > first) {
                int opens = model.calendars.vendor(trip.vendor()).next(first + trip.out());
                cause.set(Cause.Kind.VENDOR_SHUT, trip.vendor(), -1, opens);
            }
            int done = model.calendars.vendorClosing(trip.vendor(), leaves + trip.out(), model.turnaround[node]);
            if (done == SlotWindows.NEVER) {
                return false;
            }
            back = done + trip.home();
            ready = inspected(trip, back);
            if (ready == SlotWindows.NEVER) {
                return false;
            }
            int claim = conflict(trip);
            if (back < endNotBefore) {
                leaves++;
            } else if (claim >= 0) {
                Stays claims = taken.cars[trip.build()];
                leaves = claims.end(claim);
                cause.set(Cause.Kind.CAR_CLAIMED, claims.owner(claim), CarClaim.ofWhole(claims.who(claim)), leaves);
            } else {
                return true;
            }
        }
    }

    /**
     * The first slot from this one on, with somebody in the shop to send it, from which it arrives while the vendor is
     * open. Where there is none before the vendor's door opens twice, it leaves at once and waits there.
     */
    private int intoOpenHours(Task.TripTask trip, int first) {
        SlotWindows open = model.calendars.vendor(trip.vendor());
        SlotWindows shop = model.calendars.shopHours();
        int leave = first;
        for (int doors = 0; doors < 2; doors++) {
            int opens = open.next(leave + trip.out());
            if (opens == SlotWindows.NEVER) {
                return first;
            }
            int shuts = open.windowEnd(opens);
            leave = shop.next(opens - trip.out());
            if (leave + trip.out() < shuts) {
                return leave;
            }
        }
        return first;
    }

    private int inspected(Task.TripTask trip, int from) {
        return trip.inspection() == 0 ? from : model.calendars.shopHours().finish(Math.max(0, from), trip.inspection());
    }

    private int conflict(Task.TripTask trip) {
        return trip.wholeCar() ? taken.cars[trip.build()].conflict(leaves, ready, CarClaim.AWAY, 0, -1) : -1;
    }
}
