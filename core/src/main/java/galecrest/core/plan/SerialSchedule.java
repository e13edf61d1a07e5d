package galecrest.core.plan;

import galecrest.core.build.Job;
import galecrest.core.build.Link;
import galecrest.core.build.LinkId;
import galecrest.core.build.Outwork;
import galecrest.core.build.Pin;
import galecrest.core.build.PinId;
import galecrest.core.build.RunningIn;
import galecrest.core.build.Status;
import galecrest.core.build.Work;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Serial schedule generation (Kelley, 1963; Kolisch, 1996): one node after another, the most urgent whose
 * predecessors are placed first, each at the earliest place that breaks no rule. What is away and what has started go first,
 * then what is pinned to an instant with all that leads to it, then the rest by a priority rule.
 */
final class SerialSchedule {
    final @Nullable Placement[] placed;
    final @Nullable String[] unplanned;
    final Map<PinId, String> brokenPins = new LinkedHashMap<>();
    final TreeSet<LinkId> startedAtRisk = new TreeSet<>();

    private final Network network;
    private final boolean atRisk;
    private final Occupancy taken;
    private final JobPlacer jobs;
    private final OutworkPlacer outwork;
    private final RunningInPlacer runningIn;
    private final Bounds bounds;

    SerialSchedule(Network network, boolean atRisk) {
        this.network = network;
        this.atRisk = atRisk;
        ShopSnapshot shop = network.shop;
        taken = new Occupancy(
                shop.people().size(), shop.stations().size(), shop.builds().size());
        placed = new Placement[network.size()];
        unplanned = new String[network.size()];
        jobs = new JobPlacer(network, taken);
        bounds = new Bounds(shop, network.grid, network.calendars);
        outwork = new OutworkPlacer(network, taken, bounds);
        runningIn = new RunningInPlacer(network, taken);
        shop.works().stream().filter(w -> w.status() == Status.DONE).forEach(this::stillCuring);
    }

    private void stillCuring(Work work) {
        if (work instanceof Job job) {
            Instant done = job.doneAt().orElse(network.shop.now());
            jobs.cure(job, 0, network.grid.atOrAfter(done.plus(job.cure())));
        }
    }

    /** Places every node; {@code keys} holds the priority of each, lower first. */
    void generate(double[] keys) {
        BitSet first = leadingToExactPins();
        PriorityQueue<Integer> eligible = new PriorityQueue<>((a, b) -> {
            int byClass = Integer.compare(rank(a, first), rank(b, first));
            int byKey = byClass != 0 ? byClass : Double.compare(keys[a], keys[b]);
            return byKey != 0 ? byKey : Integer.compare(a, b);
        });
        int[] waiting = new int[network.size()];
        for (int node = 0; node < waiting.length; node++) {
            waiting[node] = network.before.get(node).size();
            if (waiting[node] == 0) {
                eligible.add(node);
            }
        }
        while (!eligible.isEmpty()) {
            int node = eligible.remove();
            place(node);
            for (Network.Arc arc : network.after.get(node)) {
                if (--waiting[arc.to()] == 0) {
                    eligible.add(arc.to());
                }
            }
        }
    }

    private int rank(int node, BitSet first) {
        if (network.isAway(node)) {
            return 0;
        }
        if (network.works.get(node).status() == Status.STARTED) {
            return 1;
        }
        return first.get(node) ? 2 : 3;
    }

    private BitSet leadingToExactPins() {
        BitSet leading = new BitSet(network.size());
        int[] order = network.inOrder();
        for (int i = order.length - 1; i >= 0; i--) {
            int node = order[i];
            boolean pinned = network.pins.get(node).stream().anyMatch(Pin.Exactly.class::isInstance);
            boolean leads = network.after.get(node).stream().anyMatch(a -> leading.get(a.to()));
            leading.set(node, pinned || leads);
        }
        return leading;
    }

    private void place(int node) {
        Start start = new Start();
        for (Network.Bound bound : network.bounds.get(node)) {
            start.notBefore(bound.slot(), bound.because());
        }
        for (Network.Arc arc : network.before.get(node)) {
            if (!follow(node, arc, start)) {
                return;
            }
        }
        Work work = network.works.get(node);
        Placing placing;
        if (work instanceof Job job) {
            placing = jobs.place(job, network.pins.get(node), start, brokenPins);
        } else if (work instanceof Outwork out) {
            placing = outwork.place(out, network.pins.get(node), start, brokenPins);
        } else {
            placing = runningIn.place((RunningIn) work, network.pins.get(node), start, brokenPins);
        }
        placed[node] = placing.placement();
        unplanned[node] = placing.whyNot();
        if (placing.placement() != null) {
            noteRisks(node, placing.placement());
        }
    }

    /** Applies an arc to the start; false where its other end cannot be planned, so neither can this node. */
    private boolean follow(int node, Network.Arc arc, Start start) {
        Placement first = placed[arc.from()];
        if (atRisk && arc.risky()) {
            return true;
        }
        if (first == null) {
            unplanned[node] = "It waits for " + network.works.get(arc.from()).name() + ", which cannot be planned.";
            return false;
        }
        int slot = boundBy(arc, first);
        Work work = network.works.get(arc.from());
        boolean curing = arc.type() == Link.Type.FINISH_START && first.ready() > first.end() && work instanceof Job;
        Because because = new Because.After(work.id(), work instanceof Outwork, curing, arc.lag() > 0);
        if (arc.type() == Link.Type.FINISH_FINISH) {
            start.endNotBefore(slot, because);
        } else {
            start.notBefore(slot, because);
        }
        return true;
    }

    private int boundBy(Network.Arc arc, Placement first) {
        int from =
                switch (arc.type()) {
                    case FINISH_START -> first.ready();
                    case START_START -> first.start();
                    case FINISH_FINISH -> first.end();
                };
        return bounds.lagged(from, arc.lag(), arc.workingLag());
    }

    private void noteRisks(int node, Placement placement) {
        for (Network.Arc arc : network.before.get(node)) {
            if (atRisk && arc.risky()) {
                Placement first = placed[arc.from()];
                boolean early = first == null
                        || boundBy(arc, first)
                                > (arc.type() == Link.Type.FINISH_FINISH ? placement.end() : placement.start());
                if (early) {
                    startedAtRisk.add(arc.link().orElseThrow());
                }
            }
        }
    }

    /** What bounds the start (and the end) of the node being placed: the latest bound and its reason. */
    static final class Start {
        private int slot;
        private int end;
        private Because because = new Because.Nothing();
        private Because endBecause = new Because.Nothing();

        void notBefore(int bound, Because why) {
            if (bound > slot) {
                slot = bound;
                because = why;
            }
        }

        void endNotBefore(int bound, Because why) {
            if (bound > end) {
                end = bound;
                endBecause = why;
            }
        }

        int slot() {
            return slot;
        }

        int end() {
            return end;
        }

        /** The reason for a start that nothing taken moved: by its bound, by its end's bound, or by the hours. */
        Because because(int start, int plainEnd) {
            if (plainEnd < end) {
                return endBecause;
            }
            return slot == 0 && start > 0 ? new Because.Shift() : because;
        }
    }

    /** A node's placement, or why it has none. */
    record Placing(@Nullable Placement placement, @Nullable String whyNot) {
        static Placing at(Placement placement) {
            return new Placing(placement, null);
        }

        static Placing not(String why) {
            return new Placing(null, why);
        }
    }

    List<Integer> unplannedNodes() {
        List<Integer> nodes = new ArrayList<>();
        for (int node = 0; node < unplanned.length; node++) {
            if (placed[node] == null) {
                nodes.add(node);
            }
        }
        return nodes;
    }
}
