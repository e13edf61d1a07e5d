package galecrest.core.plan;

import galecrest.core.build.Link;
import galecrest.core.time.Span;
import java.util.Arrays;

/**
 * Keys for an order that mends what people were told with the least disturbance: all that can stay where it was told to
 * be goes first, and only then what cannot, because of a bound or of what it follows, with all that follows it. So the
 * disturbed takes the room that is left, and other cars stay as they are. Whether the dates are kept that way is for the
 * score to say.
 */
final class Repair {
    /** What people were not told of comes after all that they were. */
    private static final double LAST = 2 * Urgency.FAR;

    private final Model model;
    private final int[] start;
    private final int[] ready;
    private final boolean[] stays;

    private Repair(Model model, Plan told) {
        this.model = model;
        start = new int[model.size];
        ready = new int[model.size];
        stays = new boolean[model.size];
        Arrays.fill(start, SlotWindows.NEVER);
        for (Plan.Placed placed : told.placed()) {
            int node = model.network.node(placed.work());
            if (node >= 0) {
                start[node] = model.grid.atOrAfter(placed.start());
                ready[node] = model.grid.atOrAfter(placed.ready()) + longer(node, placed);
                stays[node] = start[node] >= 0;
            }
        }
    }

    static double[] keys(Model model, Urgency urgency, Plan told) {
        Repair repair = new Repair(model, told);
        for (int node : model.network.inOrder()) {
            repair.follow(node);
        }
        double[] keys = new double[model.size];
        for (int node = 0; node < model.size; node++) {
            boolean known = repair.start[node] != SlotWindows.NEVER;
            keys[node] = known
                    ? repair.start[node] + (repair.stays[node] ? 0 : Urgency.FAR)
                    : LAST + urgency.latestStart(node);
        }
        return keys;
    }

    /** By how much more there is to do than was told. */
    private int longer(int node, Plan.Placed placed) {
        int slots = 0;
        for (Span span : placed.at()) {
            slots += model.grid.atOrAfter(span.to()) - model.grid.atOrAfter(span.from());
        }
        return model.tasks[node] instanceof Task.JobTask ? Math.max(0, model.work[node] - slots) : 0;
    }

    /** Moves the node behind its bounds and what it follows; it stays where none of these has moved. */
    private void follow(int node) {
        if (start[node] == SlotWindows.NEVER) {
            return;
        }
        int earliest = model.boundSlot[node];
        if (model.tasks[node] instanceof Task.JobTask job && job.exactly() != null) {
            earliest = Math.max(earliest, job.exactly().slot());
        }
        for (Network.Arc arc : model.before[node]) {
            if (arc.type() == Link.Type.FINISH_START && !arc.risky() && start[arc.from()] != SlotWindows.NEVER) {
                earliest = Math.max(earliest, model.lagged(ready[arc.from()], arc));
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
