package galecrest.core.plan;

import galecrest.core.build.Link;
import java.util.Arrays;
import java.util.Comparator;
import java.util.PriorityQueue;

/**
 * The least hard lateness that a schedule in the making can still come to: of each node that is placed, what must follow
 * it before a date, one after another and without a break. A schedule that is certain to be worse than it may be need not
 * be finished.
 */
final class Floor implements Schedule.Limit {
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
        int[] place = new int[model.size];
        int[] order = model.network.inOrder();
        for (int i = 0; i < order.length; i++) {
            place[order[i]] = i;
        }
        int[] tail = new int[model.size];
        Arrays.fill(tail, -1);
        for (int date = 0; date < count; date++) {
            if (scorer.hard(date)) {
                tails(model, date, order, place, tail);
            }
        }
    }

    /** Goes back from what a date needs, the last in the order of the network first. */
    private void tails(Model model, int date, int[] order, int[] place, int[] tail) {
        PriorityQueue<Integer> open = new PriorityQueue<>(Comparator.reverseOrder());
        for (int node : model.network.needs[date]) {
            tail[node] = 0;
            open.add(place[node]);
        }
        while (!open.isEmpty()) {
            int node = order[open.remove()];
            dates[node] = with(dates[node], date);
            tails[node] = with(tails[node], tail[node]);
            int length = length(model, node) + tail[node];
            tail[node] = -1;
            for (Network.Arc arc : model.before[node]) {
                if (arc.type() == Link.Type.FINISH_START && arc.risk() < 0 && arc.lag() >= 0) {
                    if (tail[arc.from()] < 0) {
                        open.add(place[arc.from()]);
                    }
                    tail[arc.from()] = Math.max(tail[arc.from()], arc.lag() + length);
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
                double late = scorer.lateness(date, end);
                sum += late - lateness[date];
                lateness[date] = late;
            }
        }
        return sum <= most;
    }
}
