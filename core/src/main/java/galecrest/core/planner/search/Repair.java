package galecrest.core.planner.search;

import galecrest.core.plan.Plan;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.time.Span;
import galecrest.core.work.Link;
import java.util.Arrays;

/**
 * Keys for an order that mends what people were told with the least disturbance: all that can stay where it was told to
 * be goes first, and only then what cannot, because of a bound or of what it follows, with all that follows it. So the
 * disturbed takes the room that is left, and other cars stay as they are. Whether the dates are kept that way is for the
 * score to say.
 */
public final class Repair {
    /** What people were not told of comes after all that they were. */
    private static final double LAST = 2 * CriticalPath.FAR;

    private final SchedulingProblem problem;
    private final int[] start;
    private final int[] ready;
    private final boolean[] stays;

    private Repair(SchedulingProblem problem, Plan told) {
        this.problem = problem;
        start = new int[problem.size];
        ready = new int[problem.size];
        stays = new boolean[problem.size];
        Arrays.fill(start, WorkingWindows.NEVER);
        for (Plan.Placed placed : told.placed()) {
            int node = problem.network.node(placed.work());
            if (node >= 0) {
                start[node] = problem.grid.atOrAfter(placed.start());
                ready[node] = problem.grid.atOrAfter(placed.ready()) + longer(node, placed);
                stays[node] = start[node] >= 0;
            }
        }
    }

    /** The key of each node, by which a list keeps to what people were told. */
    public static double[] keys(SchedulingProblem problem, CriticalPath urgency, Plan told) {
        Repair repair = new Repair(problem, told);
        for (int node : problem.network.inOrder()) {
            repair.follow(node);
        }
        double[] keys = new double[problem.size];
        for (int node = 0; node < problem.size; node++) {
            boolean known = repair.start[node] != WorkingWindows.NEVER;
            keys[node] = known
                    ? repair.start[node] + (repair.stays[node] ? 0 : CriticalPath.FAR)
                    : LAST + urgency.latestStart(node);
        }
        return keys;
    }

    /** By how much more there is to do than was told. */
    private int longer(int node, Plan.Placed placed) {
        int slots = 0;
        for (Span span : placed.at()) {
            slots += problem.grid.atOrAfter(span.to()) - problem.grid.atOrAfter(span.from());
        }
        return problem.activities[node] instanceof Activity.JobActivity ? Math.max(0, problem.work[node] - slots) : 0;
    }

    /** Moves the node behind its bounds and what it follows; it stays where none of these has moved. */
    private void follow(int node) {
        if (start[node] == WorkingWindows.NEVER) {
            return;
        }
        int earliest = problem.boundSlot[node];
        if (problem.activities[node] instanceof Activity.JobActivity job && job.exactly() != null) {
            earliest = Math.max(earliest, job.exactly().slot());
        }
        for (ActivityNetwork.Arc arc : problem.before[node]) {
            if (arc.type() == Link.Type.FINISH_START && !arc.risky() && start[arc.from()] != WorkingWindows.NEVER) {
                earliest = Math.max(earliest, problem.lagged(ready[arc.from()], arc));
                stays[node] &= stays[arc.from()] || start[arc.from()] < 0;
            }
        }
        if (earliest > start[node]) {
            stays[node] = false;
            ready[node] += earliest - start[node];
            start[node] = earliest;
        }
    }
}
