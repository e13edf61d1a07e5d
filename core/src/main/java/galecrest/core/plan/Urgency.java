package galecrest.core.plan;

import galecrest.core.build.Commitment;
import galecrest.core.build.Job;
import galecrest.core.build.Link;
import galecrest.core.build.Outwork;
import galecrest.core.build.Pin;
import galecrest.core.build.RunningIn;
import galecrest.core.build.Work;
import java.util.Arrays;

/**
 * How soon each node must start and finish to keep the dates, by a forward and a backward pass over the network that
 * knows no people or stations (critical path method; Kelley and Walker, 1959). Counted in slots of shop hours;
 * elapsed time is converted by how much of it the shop is open.
 */
final class Urgency {
    /** A week of one shift, in slots. */
    static final double WEEK = 40.0 * 60 / Grid.SLOT_MINUTES;
    /** Later than any date. */
    static final double FAR = 1 << 24;

    private final Network network;
    private final double openShare;
    private final double[] length;
    private final double[] earliest;
    private final double[] latestFinish;
    private final double[] weight;
    private final double[] nearestDate;
    private final boolean[] hard;
    private final boolean[] outside;

    Urgency(Network network) {
        this.network = network;
        int size = network.size();
        SlotWindows open = network.calendars.shopHours();
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
            return Network.slots(job) + openShare * Grid.slotsFor(job.cure());
        }
        if (work instanceof RunningIn runIn) {
            return runIn.drives() * (double) Grid.slotsFor(8 * 60);
        }
        Outwork outwork = (Outwork) work;
        double days = outwork.turnaround().likely() + 1.0;
        return days * Grid.slotsFor(8 * 60)
                + openShare * Grid.slotsFor(outwork.transportOut().plus(outwork.transportBack()));
    }

    private void dates(SlotWindows open) {
        Arrays.fill(latestFinish, FAR);
        double[] nearest = new double[network.shop.builds().size()];
        Arrays.fill(nearest, FAR);
        for (int c = 0; c < network.needs.length; c++) {
            Commitment commitment = network.shop.commitments().get(c);
            double due = open.workBefore(network.grid.atOrBefore(commitment.due()));
            int build = network.buildOf(commitment.build());
            nearest[build] = Math.min(nearest[build], due);
            for (int node : network.needs[c]) {
                due(node, commitment, due);
                hard[node] |= commitment.kind().hard();
            }
            for (int node : network.wants[c]) {
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

    private void forward(int[] order, SlotWindows open) {
        for (int node : order) {
            double start = 0;
            for (Network.Bound bound : network.bounds.get(node)) {
                start = Math.max(start, open.workBefore(bound.slot()));
            }
            for (Network.Arc arc : network.before.get(node)) {
                start = Math.max(start, earliest[arc.from()] + offset(arc));
            }
            earliest[node] = start;
        }
    }

    /** Least time between the starts of an arc's ends. */
    private double offset(Network.Arc arc) {
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
            for (Network.Arc arc : network.after.get(node)) {
                int to = arc.to();
                double startOfNext = latestFinish[to] - length[to];
                latestFinish[node] = Math.min(latestFinish[node], startOfNext - offset(arc) + length[node]);
                weight[node] = Math.max(weight[node], weight[to]);
                hard[node] |= hard[to] && arc.type() != Link.Type.START_START;
                outside[node] |= outside[to];
            }
        }
    }

    double latestStart(int node) {
        return latestFinish[node] - length[node];
    }

    double latestFinish(int node) {
        return latestFinish[node];
    }

    double slack(int node) {
        return latestStart(node) - earliest[node];
    }

    double weight(int node) {
        return weight[node];
    }

    /** The nearest date of the node's car, in slots of shop hours. */
    double nearestDate(int node) {
        return nearestDate[node];
    }

    boolean hard(int node) {
        return hard[node];
    }

    boolean leadsOutside(int node) {
        return outside[node];
    }
}
