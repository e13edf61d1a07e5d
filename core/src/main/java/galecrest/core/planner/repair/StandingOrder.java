package galecrest.core.planner.repair;

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
 * The order of the plan that stands, as keys for a list: where each piece of work stood, or where its bounds and what it
 * follows push it. What can stay where it stood goes ahead of what cannot, so that the disturbed takes the room that is
 * left; {@link Repair} lets some of it come in its turn instead, and push others.
 */
public final class StandingOrder {
    /** What never stood in the plan comes after all that did. */
    private static final double LAST = 2 * CriticalPath.FAR;

    private final SchedulingProblem problem;
    private final CriticalPath urgency;
    private final int[] start;
    private final int[] ready;
    private final boolean[] stays;

    /** Looks where everything stood, and what of it is pushed. */
    public StandingOrder(SchedulingProblem problem, CriticalPath urgency, Plan standing) {
        this.problem = problem;
        this.urgency = urgency;
        start = new int[problem.size];
        ready = new int[problem.size];
        stays = new boolean[problem.size];
        Arrays.fill(start, WorkingWindows.NEVER);
        for (Plan.Placed placed : standing.placed()) {
            int node = problem.network.node(placed.work());
            if (node >= 0) {
                start[node] = problem.grid.atOrAfter(placed.start());
                ready[node] = problem.grid.atOrAfter(placed.ready()) + longer(node, placed);
                stays[node] = start[node] >= 0;
            }
        }
        for (int node : problem.network.inOrder()) {
            follow(node);
        }
    }

    /** The key of each node where the disturbed takes the room that is left. */
    public double[] keys() {
        double[] keys = new double[problem.size];
        Arrays.setAll(keys, this::inRoomLeft);
        return keys;
    }

    /** Whether the node could stay where it stood, as far as its bounds and what it follows go. */
    boolean stays(int node) {
        return stays[node];
    }

    /** When the node that stood was ready, as it stood. */
    int end(int node) {
        return ready[node];
    }

    /** The key of a node that stays, or takes the room that is left by all that do. */
    double inRoomLeft(int node) {
        return stood(node) ? start[node] + (stays[node] ? 0 : CriticalPath.FAR) : LAST + urgency.latestStart(node);
    }

    /** The key of a node that comes in its turn: where it stood or is pushed to; new work as soon as it can start. */
    double inTurn(int node) {
        return stood(node) ? start[node] : earliest(node);
    }

    /** Whether the node was in the plan. */
    boolean stood(int node) {
        return start[node] != WorkingWindows.NEVER;
    }

    /** By how much more there is to do than was planned. */
    private int longer(int node, Plan.Placed placed) {
        int slots = 0;
        for (Span span : placed.at()) {
            slots += problem.grid.atOrAfter(span.to()) - problem.grid.atOrAfter(span.from());
        }
        return problem.activities[node] instanceof Activity.JobActivity ? Math.max(0, problem.work[node] - slots) : 0;
    }

    private int earliest(int node) {
        int earliest = problem.boundSlot[node];
        if (problem.activities[node] instanceof Activity.JobActivity job && job.exactly() != null) {
            earliest = Math.max(earliest, job.exactly().slot());
        }
        for (ActivityNetwork.Arc arc : problem.before[node]) {
            if (arc.type() == Link.Type.FINISH_START && !arc.risky() && stood(arc.from())) {
                earliest = Math.max(earliest, problem.lagged(ready[arc.from()], arc));
            }
        }
        return earliest;
    }

    /** Moves the node behind its bounds and what it follows; it stays where none of these has moved. */
    private void follow(int node) {
        if (!stood(node)) {
            return;
        }
        for (ActivityNetwork.Arc arc : problem.before[node]) {
            if (arc.type() == Link.Type.FINISH_START && !arc.risky() && stood(arc.from())) {
                stays[node] &= stays[arc.from()] || start[arc.from()] < 0;
            }
        }
        int earliest = earliest(node);
        if (earliest > start[node]) {
            stays[node] = false;
            ready[node] += earliest - start[node];
            start[node] = earliest;
        }
    }
}
