package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CarClaim;
import galecrest.core.planner.problem.SchedulingProblem;

/** When outwork leaves, when the vendor has it ready, when it is back and looked over. */
final class OutworkPlacement {
    private final SchedulingProblem problem;
    private final ResourceState taken;
    /** Why nothing was found, where {@link #find} returns false. */
    String whyNot = "";

    int leaves;
    int back;
    int ready;
    boolean slotMissed;
    final BindingConstraint cause = new BindingConstraint();

    OutworkPlacement(SchedulingProblem problem, ResourceState taken) {
        this.problem = problem;
        this.taken = taken;
    }

    /** Finds the earliest trip; {@code cause.kind} is {@link BindingConstraint.Kind#NOTHING} where nothing taken moved it. */
    boolean find(Activity.TripActivity trip, int node, int from, int endNotBefore) {
        cause.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        slotMissed = false;
        if (trip.away()) {
            return away(trip, node);
        }
        boolean booked = trip.slotLeaves() != SchedulingProblem.NO_SLOT;
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

    private boolean away(Activity.TripActivity trip, int node) {
        back = problem.back[node];
        ready = inspected(trip, back);
        if (ready == WorkingWindows.NEVER) {
            whyNot = "Nobody is in the shop to inspect it when it is back.";
            return false;
        }
        leaves = Math.min(trip.awaySince(), back - 1);
        return true;
    }

    private boolean bySlot(Activity.TripActivity trip, int from, int endNotBefore) {
        leaves = trip.slotLeaves();
        back = trip.slotBack();
        ready = inspected(trip, back);
        boolean met = leaves >= from && back >= endNotBefore && ready != WorkingWindows.NEVER && leaves < back;
        if (!met || conflict(trip) >= 0 || atDate(trip) >= 0) {
            return false;
        }
        cause.set(BindingConstraint.Kind.SLOT, -1, -1, leaves);
        return true;
    }

    private boolean byQueue(Activity.TripActivity trip, int node, int from, int endNotBefore) {
        leaves = from;
        while (true) {
            leaves = problem.calendars.shopHours().next(leaves);
            if (leaves == WorkingWindows.NEVER) {
                return false;
            }
            int first = leaves;
            leaves = intoOpenHours(trip, first);
            if (leaves > first) {
                int opens = problem.calendars.vendor(trip.vendor()).next(first + trip.out());
                cause.set(BindingConstraint.Kind.VENDOR_SHUT, trip.vendor(), -1, opens);
            }
            int done = problem.calendars.vendorClosing(trip.vendor(), leaves + trip.out(), problem.turnaround[node]);
            if (done == WorkingWindows.NEVER) {
                return false;
            }
            back = done + trip.home();
            ready = inspected(trip, back);
            if (ready == WorkingWindows.NEVER) {
                return false;
            }
            int claim = conflict(trip);
            if (back < endNotBefore) {
                leaves++;
            } else if (atDate(trip) >= 0) {
                leaves = atDate(trip);
                cause.set(BindingConstraint.Kind.AT_DATE, -1, -1, leaves);
            } else if (claim >= 0) {
                Occupancy claims = taken.cars[trip.build()];
                leaves = claims.end(claim);
                cause.set(
                        BindingConstraint.Kind.CAR_CLAIMED,
                        claims.owner(claim),
                        CarClaim.ofWhole(claims.who(claim)),
                        leaves);
            } else {
                return true;
            }
        }
    }

    /**
     * The first slot from this one on, with somebody in the shop to send it, from which it arrives while the vendor is
     * open. Where there is none before the vendor's door opens twice, it leaves at once and waits there.
     */
    private int intoOpenHours(Activity.TripActivity trip, int first) {
        WorkingWindows open = problem.calendars.vendor(trip.vendor());
        WorkingWindows shop = problem.calendars.shopHours();
        int leave = first;
        for (int doors = 0; doors < 2; doors++) {
            int opens = open.next(leave + trip.out());
            if (opens == WorkingWindows.NEVER) {
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

    private int inspected(Activity.TripActivity trip, int from) {
        return trip.inspection() == 0
                ? from
                : problem.calendars.shopHours().finish(Math.max(0, from), trip.inspection());
    }

    /** When the car is back from a date that is in the way; −1 for none. */
    private int atDate(Activity.TripActivity trip) {
        return Activity.back(trip.carAway(), leaves, ready);
    }

    private int conflict(Activity.TripActivity trip) {
        return trip.wholeCar() ? taken.cars[trip.build()].conflict(leaves, ready, CarClaim.AWAY, 0, -1) : -1;
    }
}
