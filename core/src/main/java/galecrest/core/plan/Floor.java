package galecrest.core.plan;

import galecrest.core.build.Link;
import java.util.Arrays;

/**
 * The least hard lateness that a schedule in the making can still come to: of each node that is placed, what must follow
 * it before a date, one after another and without a break. A schedule that is certain to be worse than it may be need not
 * be finished.
 */
final class Floor {
    /** Of each node, the hard dates that wait for it, and the least number of slots from when it is ready to those. */
    private final int[][] dates;

    private final int[][] tails;
    private final Scorer scorer;
    private final int[] finish;
    private final double[] lateness;
    private double sum;
    private double most;

    Floor(Model model, Scorer scorer) {
        this.scorer = scorer;
        int count = model.network.shop.commitments().size();
        finish = new int[count];
        lateness = new double[count];
        dates = new int[model.size][0];
        tails = new int[model.size][0];
        int[] order = model.network.inOrder();
        int[] tail = new int[model.size];
        for (int date = 0; date < count; date++) {
            if (!scorer.hard(date)) {
                continue;
            }
            Arrays.fill(tail, -1);
            for (int node : scorer.needs(date)) {
                tail[node] = 0;
            }
            for (int i = order.length - 1; i >= 0; i--) {
                int node = order[i];
                for (Network.Arc arc : model.after[node]) {
                    boolean follows = arc.type() == Link.Type.FINISH_START && arc.risk() < 0 && arc.lag() >= 0;
                    if (follows && tail[arc.to()] >= 0) {
                        tail[node] = Math.max(tail[node], arc.lag() + length(model, arc.to()) + tail[arc.to()]);
                    }
                }
                if (tail[node] >= 0) {
                    dates[node] = with(dates[node], date);
                    tails[node] = with(tails[node], tail[node]);
                }
            }
        }
    }

    private static int length(Model model, int node) {
        return model.tasks[node] instanceof Task.JobTask job ? model.work[node] + job.cure() : 0;
    }

    private static int[] with(int[] array, int value) {
        int[] longer = Arrays.copyOf(array, array.length + 1);
        longer[array.length] = value;
        return longer;
    }

    /** Begins a schedule that must be no worse than a score. */
    void begin(Score limit) {
        Arrays.fill(finish, 0);
        Arrays.fill(lateness, 0);
        sum = 0;
        most = limit.missing() > 0 ? Double.MAX_VALUE : limit.hardLateness() + Score.NOISE;
    }

    /** Whether the schedule can still be no worse than the limit, now that the node is placed. */
    boolean allows(Schedule schedule, int node) {
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
                double late = scorer.lateness(date, end);
                sum += late - lateness[date];
                lateness[date] = late;
            }
        }
        return sum <= most;
    }
}
