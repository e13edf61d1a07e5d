package galecrest.core.planner.objective;

import galecrest.core.plan.Score;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.Schedule;
import galecrest.core.planner.sgs.SerialScheduler;
import galecrest.core.work.Link;
import java.util.Arrays;
import java.util.Comparator;
import java.util.PriorityQueue;

/**
 * The least hard lateness that a schedule in the making can still come to: of each node that is placed, what must follow
 * it before a date, one after another and without a break. A schedule that is certain to be worse than it may be need not
 * be finished.
 */
public final class LatenessBound implements SerialScheduler.Limit {
    /** Of each node, the hard dates that wait for it, and the least number of slots from when it is ready to those. */
    private final int[][] dates;

    private final int[][] tails;
    private final Objective objective;
    private final int[] finish;
    private final double[] lateness;
    private double sum;
    private double most;

    /** Prepares the longest way from each node to each hard date. */
    public LatenessBound(SchedulingProblem problem, Objective objective) {
        this.objective = objective;
        int count = problem.network.shop.commitments().size();
        finish = new int[count];
        lateness = new double[count];
        dates = new int[problem.size][0];
        tails = new int[problem.size][0];
        int[] place = new int[problem.size];
        int[] order = problem.network.inOrder();
        for (int i = 0; i < order.length; i++) {
            place[order[i]] = i;
        }
        int[] tail = new int[problem.size];
        Arrays.fill(tail, -1);
        for (int date = 0; date < count; date++) {
            if (objective.hard(date)) {
                tails(problem, date, order, place, tail);
            }
        }
    }

    /** Goes back from what a date needs, the last in the order of the network first. */
    private void tails(SchedulingProblem problem, int date, int[] order, int[] place, int[] tail) {
        PriorityQueue<Integer> open = new PriorityQueue<>(Comparator.reverseOrder());
        for (int node : problem.network.needs[date]) {
            tail[node] = 0;
            open.add(place[node]);
        }
        while (!open.isEmpty()) {
            int node = order[open.remove()];
            dates[node] = with(dates[node], date);
            tails[node] = with(tails[node], tail[node]);
            int length = length(problem, node) + tail[node];
            tail[node] = -1;
            for (ActivityNetwork.Arc arc : problem.before[node]) {
                if (arc.type() == Link.Type.FINISH_START && arc.risk() < 0 && arc.lag() >= 0) {
                    if (tail[arc.from()] < 0) {
                        open.add(place[arc.from()]);
                    }
                    tail[arc.from()] = Math.max(tail[arc.from()], arc.lag() + length);
                }
            }
        }
    }

    private static int length(SchedulingProblem problem, int node) {
        return problem.activities[node] instanceof Activity.JobActivity job ? problem.work[node] + job.cure() : 0;
    }

    private static int[] with(int[] array, int value) {
        int[] longer = Arrays.copyOf(array, array.length + 1);
        longer[array.length] = value;
        return longer;
    }

    /** Begins a schedule that must be no worse than a score. */
    public void begin(Score limit) {
        Arrays.fill(finish, 0);
        Arrays.fill(lateness, 0);
        sum = 0;
        most = limit.missing() > 0 ? Double.MAX_VALUE : limit.hardLateness() + Score.NOISE;
    }

    /** Whether the schedule can still be no worse than the limit, now that the node is placed. */
    @Override
    public boolean allows(Schedule schedule, int node) {
        if (!schedule.planned(node)) {
            most = Double.MAX_VALUE;
            return true;
        }
        int[] its = dates[node];
        for (int i = 0; i < its.length; i++) {
            int date = its[i];
            int end = schedule.ready[node] + tails[node][i];
            if (end > finish[date]) {
                finish[date] = end;
                double late = objective.lateness(date, end);
                sum += late - lateness[date];
                lateness[date] = late;
            }
        }
        return sum <= most;
    }
}
