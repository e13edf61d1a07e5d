package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CarClaim;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.work.Link;

/**
 * Serial schedule generation (Kelley, 1963; Kolisch, 1996): the nodes of a list one after another, each at the
 * earliest place that breaks no rule. One object makes many schedules, each over the one before; who wants to keep one
 * copies it.
 */
public final class SerialScheduler extends Schedule {
    private static final boolean[] NOTHING = {};
    /** After so many rounds, all that follows something that waits waits too. */
    private static final int MOST_ROUNDS = 40;

    /** What waits while what stays is placed; nobody asks where it is then. */
    private boolean[] later = NOTHING;

    private final StartWindow window = new StartWindow();
    private final ResourceState taken;
    private final OutworkPlacement trips;
    private final RunningInPlacement drivesFit;
    private final JobPlacement jobs;

    /** A scheduler for one thread. */
    public SerialScheduler(SchedulingProblem problem) {
        super(problem);
        taken = new ResourceState(problem);
        jobs = new JobPlacement(this, window, taken);
        trips = new OutworkPlacement(problem, taken);
        drivesFit = new RunningInPlacement(problem, taken);
    }

    /** Makes the schedule of a list in which no node comes before one that it follows. */
    public void generate(int[] list, boolean[] picked) {
        begin(list, picked);
        for (int node : list) {
            place(node);
        }
    }

    /** Asked after each node that is placed, whether the schedule is worth going on with. */
    public interface Limit {
        /** Whether to go on, now that the node is placed. */
        boolean allows(Schedule schedule, int node);
    }

    /** The same, but left unfinished as soon as the limit says so; then false. */
    public boolean generate(int[] list, boolean[] picked, Limit limit) {
        begin(list, picked);
        for (int node : list) {
            place(node);
            if (!limit.allows(this, node)) {
                return false;
            }
        }
        return true;
    }

    /** What becomes of work that cannot stay where it stood. */
    public enum Displaced {
        /** It takes the room that is left once all else has its place, by any crew. */
        WAITS,
        /** It comes as soon after as its own crew can, and pushes what that crew would do then. */
        SLIDES,
        /** It comes in its turn, by whichever crew is through first. */
        ANYBODY
    }

    /**
     * Makes the schedule of a list, around what can stay where it stood: what cannot is dealt with as is said for it. What
     * follows something that waits stays too where it can: it is placed first, and waits itself only if what it follows
     * then comes too late for it.
     *
     * @param atOnce of each node, whether it is dealt with so in any case, though it could stay
     * @param explains whether it is noted what binds each start; else the schedule is the same, but is for comparing only
     * @return the order in which the nodes were placed
     */
    public int[] generateAround(
            int[] list, boolean[] picked, Displaced[] displaced, boolean[] atOnce, boolean reserved, boolean explains) {
        jobs.explains = explains;
        boolean[] waits = new boolean[problem.size];
        for (int node : list) {
            waits[node] = atOnce[node] && displaced[node] == Displaced.WAITS;
        }
        for (int round = 1; ; round++) {
            int[] placed = around(list, picked, displaced, waits, reserved && round < MOST_ROUNDS);
            if (!comesTooLate(list, waits)) {
                jobs.explains = true;
                order = placed;
                return placed;
            }
        }
    }

    /**
     * Places what stays, then what waits, and notes what waits besides.
     *
     * @param reserved whether what follows something that waits keeps its place meanwhile, or waits too
     */
    private int[] around(int[] list, boolean[] picked, Displaced[] displaced, boolean[] waits, boolean reserved) {
        begin(list, picked);
        int[] placed = new int[list.length];
        int count = 0;
        later = waits;
        for (int node : list) {
            boolean follows = !waits[node] && followsLate(node, waits);
            waits[node] |= follows && !(reserved && stands(node));
            if (waits[node]) {
                continue;
            }
            jobs.displaced = follows ? Displaced.WAITS : displaced[node];
            // Only a job can be lost; what else there is would be placed twice if it went by the job before it.
            jobs.lost = false;
            place(node);
            jobs.displaced = Displaced.ANYBODY;
            waits[node] = jobs.lost && (follows || displaced[node] == Displaced.WAITS);
            if (!waits[node]) {
                placed[count++] = node;
            }
        }
        later = NOTHING;
        for (int node : list) {
            if (waits[node]) {
                place(node);
                placed[count++] = node;
            }
        }
        return placed;
    }

    /** Whether people were told of the node, so that it can keep its place before what it follows has one. */
    private boolean stands(int node) {
        return problem.told[node] >= 0
                && (!(problem.activities[node] instanceof Activity.JobActivity job)
                        || job.told() != null
                        || job.exactly() != null);
    }

    /**
     * Whether something that waited comes too late for what kept its place; that waits too then, and with it at once what
     * cannot but come too late for the same reason.
     */
    private boolean comesTooLate(int[] list, boolean[] waits) {
        boolean any = false;
        for (int node : list) {
            if (waits[node] || !planned(node)) {
                continue;
            }
            int late = 0;
            for (ActivityNetwork.Arc arc : problem.before[node]) {
                boolean ends = arc.type() == Link.Type.FINISH_FINISH;
                boolean certain = arc.risk() < 0 || !choices[arc.risk()];
                int slot = !planned(arc.from()) ? WorkingWindows.NEVER : certain ? bound(arc) : 0;
                if (slot > (ends ? end[node] : start[node])) {
                    late = Math.max(late, ends ? slot - end[node] : slot - start[node]);
                }
            }
            if (late > 0) {
                waits[node] = true;
                any = true;
                start[node] = Math.min(WorkingWindows.NEVER, start[node] + late);
                end[node] = Math.min(WorkingWindows.NEVER, end[node] + late);
                ready[node] = Math.min(WorkingWindows.NEVER, ready[node] + late);
            }
        }
        return any;
    }

    private boolean followsLate(int node, boolean[] late) {
        for (ActivityNetwork.Arc arc : problem.before[node]) {
            if (late[arc.from()]) {
                return true;
            }
        }
        return false;
    }

    private void begin(int[] list, boolean[] picked) {
        order = list;
        choices = picked;
        taken.clear(problem.shortestWork());
        for (int[] claim : problem.stillCuring) {
            taken.cars[claim[0]].add(0, claim[3], claim[1], claim[2], -1, claim[4]);
        }
        for (int[] stay : problem.takenAlong) {
            taken.stations[stay[0]].add(stay[1], stay[2], stay[3], 0, 0, ResourceState.atDate(stay[4]));
        }
    }

    private void place(int node) {
        start[node] = WorkingWindows.NEVER;
        whyNot[node] = null;
        slotMissed[node] = false;
        crew[node] = null;
        station[node] = -1;
        window.open();
        window.notBefore(problem.boundSlot[node], BindingConstraint.Kind.BOUND, problem.boundIndex[node]);
        ActivityNetwork.Arc[] arcs = problem.before[node];
        for (int i = 0; i < arcs.length; i++) {
            if (!follow(node, arcs[i], i)) {
                return;
            }
        }
        window.notBefore(problem.waits[node], BindingConstraint.Kind.TOLD, -1);
        Activity activity = problem.activities[node];
        if (activity instanceof Activity.JobActivity job) {
            jobs.place(node, job);
        } else if (activity instanceof Activity.TripActivity trip) {
            place(node, trip);
        } else if (activity instanceof Activity.DriveActivity drive) {
            place(node, drive);
        } else {
            place(node, (Activity.BlockActivity) activity);
        }
    }

    /** Applies an arc to the start; false where its other end is not planned, so neither can this node be. */
    private boolean follow(int node, ActivityNetwork.Arc arc, int index) {
        if (arc.risk() >= 0 && choices[arc.risk()]) {
            return true;
        }
        int from = arc.from();
        if (later.length > 0 && later[from]) {
            return true;
        }
        if (!planned(from)) {
            waitsFor[node] = from;
            return false;
        }
        int slot = bound(arc);
        if (arc.type() == Link.Type.FINISH_FINISH) {
            window.endNotBefore(slot, index);
        } else {
            window.notBefore(slot, BindingConstraint.Kind.AFTER, index);
        }
        return true;
    }

    private void place(int node, Activity.TripActivity trip) {
        boolean found = trips.find(trip, node, window.start, window.end);
        if (found && !trip.away() && window.waitsAsTold(this, node, trips.leaves)) {
            found = trips.find(trip, node, window.start, window.end);
        }
        if (!found) {
            whyNot[node] = trips.whyNot;
            return;
        }
        take(node, trip);
        if (trip.away()) {
            cause[node].set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        } else if (trip.exactly() != null && trips.leaves == trip.exactly().slot()) {
            cause[node].set(BindingConstraint.Kind.PINNED, -1, -1, 0);
        } else if (trips.cause.kind != BindingConstraint.Kind.NOTHING) {
            cause[node].set(trips.cause);
            if (trips.cause.kind == BindingConstraint.Kind.VENDOR_SHUT
                    && window.startCause.kind == BindingConstraint.Kind.AFTER) {
                cause[node].aux = problem.before[node][window.startCause.ref].from();
            }
        } else {
            window.plainCause(this, node, trips.back);
        }
    }

    private void take(int node, Activity.TripActivity trip) {
        start[node] = trips.leaves;
        end[node] = trips.back;
        ready[node] = trips.ready;
        slotMissed[node] = trips.slotMissed;
        if (trip.wholeCar()) {
            int from = trip.away() ? Math.min(trips.leaves, 0) : trips.leaves;
            taken.cars[trip.build()].add(from, trips.ready, CarClaim.AWAY, 0, -1, node);
        }
    }

    private void place(int node, Activity.DriveActivity activity) {
        int from = activity.exactly() == null
                ? window.start
                : Math.max(window.start, activity.exactly().slot());
        boolean found = drivesFit.find(activity, from, window.end);
        if (found && Decisions.keeps(problem, choices, node) && activity.exactly() == null) {
            boolean waits = window.waitsAsTold(this, node, drivesFit.stretches[0]);
            found = drivesFit.asTold(activity, from, window.end)
                    || !waits
                    || drivesFit.find(activity, Math.max(from, window.start), window.end);
        }
        if (!found) {
            whyNot[node] = "Nobody with the skill " + activity.skill()
                    + " has room for the drives within the time that is planned ahead.";
            return;
        }
        int[] stretches = drivesFit.stretches;
        drives[node] = stretches;
        start[node] = stretches[0];
        end[node] = stretches[stretches.length - 1];
        ready[node] = end[node];
        for (int i = 0; i < stretches.length; i += 2) {
            taken.busy(drivesFit.driver, stretches[i], stretches[i + 1], node);
            taken.cars[activity.build()].add(stretches[i], stretches[i + 1], CarClaim.AWAY, 0, -1, node);
        }
        driver[node] = drivesFit.driver;
        if (activity.exactly() != null && start[node] == activity.exactly().slot()) {
            cause[node].set(BindingConstraint.Kind.PINNED, -1, -1, 0);
        } else if (drivesFit.cause.kind != BindingConstraint.Kind.NOTHING) {
            cause[node].set(drivesFit.cause);
        } else {
            window.plainCause(this, node, end[node]);
        }
    }

    private void place(int node, Activity.BlockActivity block) {
        int from = Math.max(window.start, window.end - block.length());
        if (block.claims()) {
            Occupancy claims = taken.cars[block.build()];
            for (int claim; (claim = claims.conflict(from, from + block.length(), CarClaim.AWAY, 0, -1)) >= 0; ) {
                from = claims.end(claim);
            }
            claims.add(from, from + block.length(), CarClaim.AWAY, 0, -1, node);
        }
        start[node] = from;
        end[node] = from + block.length();
        ready[node] = end[node];
        cause[node].set(window.startCause);
    }
}
