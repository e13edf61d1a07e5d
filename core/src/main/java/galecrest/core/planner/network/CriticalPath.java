package galecrest.core.planner.network;

import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Work;
import java.util.Arrays;

/**
 * How soon each node must start and finish to keep the dates, by a forward and a backward pass over the network that
 * knows no people or stations (critical path method; Kelley and Walker, 1959). Counted in slots of shop hours;
 * elapsed time is converted by how much of it the shop is open.
 */
public final class CriticalPath {
    /** A week of one shift, in slots. */
    public static final double WEEK = 40.0 * 60 / TimeGrid.SLOT_MINUTES;
    /** Later than any date. */
    public static final double FAR = 1 << 24;

    private final ActivityNetwork network;
    private final double openShare;
    private final double[] length;
    private final double[] earliest;
    private final double[] latestFinish;
    private final double[] weight;
    private final double[] nearestDate;
    private final boolean[] hard;
    private final boolean[] outside;

    /** Goes once forward and once backward through the network. */
    public CriticalPath(ActivityNetwork network) {
        this.network = network;
        int size = network.size();
        WorkingWindows open = network.calendars.shopHours();
        openShare = Math.max(0.05, open.workBefore(network.grid.slots()) / (double) network.grid.slots());
        length = new double[size];
        earliest = new double[size];
        latestFinish = new double[size];
        weight = new double[size];
        nearestDate = new double[size];
        hard = new boolean[size];
        outside = new boolean[size];
        int[] order = network.inOrder();
        for (int node = 0; node < size; node++) {
            Work work = network.works.get(node);
            length[node] = length(work);
            weight[node] = network.shop.builds().get(network.build[node]).weight();
            outside[node] = work instanceof Outwork;
        }
        dates(open);
        forward(order, open);
        backward(order);
    }

    private double length(Work work) {
        if (work instanceof Job job) {
            return ActivityNetwork.slots(job) + openShare * TimeGrid.slotsFor(job.cure());
        }
        if (work instanceof RunningIn runIn) {
            return runIn.drives() * (double) TimeGrid.slotsFor(8 * 60);
        }
        Outwork outwork = (Outwork) work;
        double days = outwork.turnaround().likely() + 1.0;
        return days * TimeGrid.slotsFor(8 * 60)
                + openShare * TimeGrid.slotsFor(outwork.transportOut().plus(outwork.transportBack()));
    }

    private void dates(WorkingWindows open) {
        Arrays.fill(latestFinish, FAR);
        double[] nearest = new double[network.shop.builds().size()];
        Arrays.fill(nearest, FAR);
        for (int c = 0; c < network.needs.length; c++) {
            Commitment commitment = network.shop.commitments().get(c);
            double due = open.workBefore(network.due[c]);
            int build = network.buildOf(commitment.build());
            nearest[build] = Math.min(nearest[build], due);
            for (int node : network.needs[c]) {
                due(node, commitment, due);
                hard[node] |= commitment.kind().hard();
            }
            for (int node : network.desired[c]) {
                due(node, commitment, due + WEEK);
            }
        }
        for (int node = 0; node < network.size(); node++) {
            nearestDate[node] = nearest[network.build[node]];
            for (Pin pin : network.pins.get(node)) {
                if (pin instanceof Pin.Exactly exactly) {
                    due(node, open.workBefore(network.grid.atOrAfter(exactly.at())) + length[node]);
                }
            }
        }
    }

    private void due(int node, Commitment commitment, double at) {
        due(node, at);
        double build = network.shop.builds().get(network.build[node]).weight();
        weight[node] = Math.max(weight[node], build * commitment.weight());
    }

    private void due(int node, double at) {
        latestFinish[node] = Math.min(latestFinish[node], at);
    }

    private void forward(int[] order, WorkingWindows open) {
        for (int node : order) {
            double start = 0;
            for (ActivityNetwork.Bound bound : network.bounds.get(node)) {
                start = Math.max(start, open.workBefore(bound.slot()));
            }
            for (ActivityNetwork.Arc arc : network.before.get(node)) {
                start = Math.max(start, earliest[arc.from()] + offset(arc));
            }
            earliest[node] = start;
        }
    }

    /** Least time between the starts of an arc's ends. */
    private double offset(ActivityNetwork.Arc arc) {
        double lag = arc.workingLag() ? arc.lag() : arc.lag() * openShare;
        if (arc.risky()) {
            return 0;
        }
        return switch (arc.type()) {
            case FINISH_START -> length[arc.from()] + lag;
            case START_START -> lag;
            case FINISH_FINISH -> length[arc.from()] + lag - length[arc.to()];
        };
    }

    private void backward(int[] order) {
        for (int i = order.length - 1; i >= 0; i--) {
            int node = order[i];
            for (ActivityNetwork.Arc arc : network.after.get(node)) {
                int to = arc.to();
                double startOfNext = latestFinish[to] - length[to];
                latestFinish[node] = Math.min(latestFinish[node], startOfNext - offset(arc) + length[node]);
                weight[node] = Math.max(weight[node], weight[to]);
                hard[node] |= hard[to] && arc.type() != Link.Type.START_START;
                outside[node] |= outside[to];
            }
        }
    }

    /** The latest slot at which the node may start so that its most pressing date is kept, without regard to what is taken. */
    public double latestStart(int node) {
        return latestFinish[node] - length[node];
    }

    /** The latest slot at which it may end. */
    public double latestFinish(int node) {
        return latestFinish[node];
    }

    /** Slots between its earliest and its latest start; negative where its date cannot be kept. */
    public double slack(int node) {
        return latestStart(node) - earliest[node];
    }

    /** The largest weight of the dates behind it. */
    public double weight(int node) {
        return weight[node];
    }

    /** The nearest date of the node's car, in slots of shop hours. */
    public double nearestDate(int node) {
        return nearestDate[node];
    }

    /** Whether a hard date waits for it. */
    public boolean hard(int node) {
        return hard[node];
    }

    /** Whether it is outwork, or outwork comes after it. */
    public boolean leadsOutside(int node) {
        return outside[node];
    }
}
