package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CarClaim;
import galecrest.core.planner.problem.SchedulingProblem;

/** Running-in: one drive a day, in one go, by one driver throughout, the car away meanwhile. */
final class RunningInPlacement {
    private final SchedulingProblem problem;
    private final ResourceState taken;
    private int[] found = {};
    private final BindingConstraint first = new BindingConstraint();
    private final BindingConstraint now = new BindingConstraint();

    /** The pool of the driver, its drives as pairs of slots, and what moved the first. */
    int driver;

    int[] stretches = {};
    final BindingConstraint cause = new BindingConstraint();

    RunningInPlacement(SchedulingProblem problem, ResourceState taken) {
        this.problem = problem;
        this.taken = taken;
    }

    /** Finds the drives that end first among the drivers. */
    boolean find(Activity.DriveActivity activity, int from, int endNotBefore) {
        driver = -1;
        for (int someone : activity.drivers()) {
            if (drives(activity, someone, from, endNotBefore)
                    && (driver < 0 || found[found.length - 1] < stretches[stretches.length - 1])) {
                driver = someone;
                stretches = found;
                cause.set(first);
            }
        }
        return driver >= 0;
    }

    /** Whether the drives can be just as people were told; then they are the ones found instead of those before. */
    boolean asTold(Activity.DriveActivity activity, int from, int endNotBefore) {
        int[] told = activity.told();
        if (told.length == 0
                || activity.drivers().length == 0
                || told[0] < from
                || told[told.length - 1] < endNotBefore) {
            return false;
        }
        int someone = activity.drivers()[0];
        WorkingWindows hours = problem.calendars.person(problem.pools.anyOf(someone));
        for (int i = 0; i < told.length; i += 2) {
            boolean in = told[i + 1] - told[i] == activity.length()
                    && hours.next(told[i]) == told[i]
                    && hours.windowEnd(told[i]) >= told[i + 1];
            ResourceProfile busy = taken.pools[someone];
            if (!in
                    || busy.crowded(busy.stepAt(told[i]), told[i + 1], 0) >= 0
                    || Activity.back(activity.carAway(), told[i], told[i + 1]) >= 0
                    || taken.cars[activity.build()].conflict(told[i], told[i + 1], CarClaim.AWAY, 0, -1) >= 0) {
                return false;
            }
        }
        if (driver != someone || stretches[0] != told[0]) {
            cause.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        }
        driver = someone;
        stretches = told;
        return true;
    }

    private boolean drives(Activity.DriveActivity activity, int someone, int from, int endNotBefore) {
        found = new int[2 * activity.drives()];
        int slot = from;
        for (int drive = 0; drive < activity.drives(); drive++) {
            boolean last = drive == activity.drives() - 1;
            int start = free(activity, someone, slot, last ? endNotBefore : 0);
            if (start == WorkingWindows.NEVER) {
                return false;
            }
            if (drive == 0) {
                first.set(now);
            }
            found[2 * drive] = start;
            found[2 * drive + 1] = start + activity.length();
            slot = Math.max(problem.grid.nextDay(start), start + activity.length());
        }
        return true;
    }

    /** The first slot from which driver and car are free for a drive; {@link #now} tells what was in the way. */
    private int free(Activity.DriveActivity activity, int someone, int from, int endNotBefore) {
        WorkingWindows hours = problem.calendars.person(problem.pools.anyOf(someone));
        ResourceProfile busy = taken.pools[someone];
        Occupancy claims = taken.cars[activity.build()];
        now.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        int slot = Math.max(from, endNotBefore - activity.length());
        while (true) {
            slot = hours.next(slot);
            if (slot == WorkingWindows.NEVER) {
                return slot;
            }
            int end = slot + activity.length();
            if (end > hours.windowEnd(slot)) {
                slot = hours.windowEnd(slot);
                continue;
            }
            int step = busy.crowded(busy.stepAt(slot), end, 0);
            if (step >= 0) {
                int relief = busy.relieved(step, 0);
                slot = busy.slotOf(relief);
                now.set(BindingConstraint.Kind.PERSON_BUSY, busy.endedAt(relief), someone, slot);
                continue;
            }
            int back = Activity.back(activity.carAway(), slot, end);
            if (back >= 0) {
                slot = back;
                now.set(BindingConstraint.Kind.AT_DATE, -1, -1, slot);
                continue;
            }
            int claim = claims.conflict(slot, end, CarClaim.AWAY, 0, -1);
            if (claim < 0) {
                return slot;
            }
            slot = claims.end(claim);
            now.set(BindingConstraint.Kind.CAR_CLAIMED, claims.owner(claim), CarClaim.ofWhole(claims.who(claim)), slot);
        }
    }
}
