package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.work.Link;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * A schedule as numbers, by node: when and by whom each activity is done, what bound it, or why it is not planned. Made by a
 * {@link SerialScheduler}, over and over in the same arrays; who wants to keep one copies it.
 */
public class Schedule {
    public final SchedulingProblem problem;
    /** Start, end and readiness of each node in slots; a start of {@link WorkingWindows#NEVER} is not planned. */
    public final int[] start;

    public final int[] end;
    public final int[] ready;
    public final @Nullable CrewMode[] crew;
    public final int[] station;
    /** The drives of running-in, as pairs of slots. */
    public final int[] @Nullable [] drives;
    /** The pool of who drives. */
    public final int[] driver;

    public final boolean[] slotMissed;
    /** What bound each start. */
    public final BindingConstraint[] cause;
    /** Why an exact start, or what people were told, could not be; kind {@link BindingConstraint.Kind#NOTHING} where it could. */
    public final @Nullable BindingConstraint[] missed;
    /** Why a node is not planned; null with {@link #waitsFor} for what follows it. */
    public final @Nullable String[] whyNot;

    public final int[] waitsFor;
    /** Of jobs in one go in a trial: whether it did not fit into the hours of who was to do it. */
    public final boolean[] overran;
    /** See {@link Decisions}. */
    public boolean[] choices;
    /** The list that the schedule was made of. */
    public int[] order;

    Schedule(SchedulingProblem problem) {
        this.problem = problem;
        int size = problem.size;
        start = new int[size];
        end = new int[size];
        ready = new int[size];
        crew = new CrewMode[size];
        station = new int[size];
        drives = new int[size][];
        driver = new int[size];
        slotMissed = new boolean[size];
        cause = new BindingConstraint[size];
        missed = new BindingConstraint[size];
        whyNot = new String[size];
        waitsFor = new int[size];
        overran = new boolean[size];
        Arrays.setAll(cause, i -> new BindingConstraint());
        for (int node = 0; node < size; node++) {
            if (problem.activities[node] instanceof Activity.JobActivity job
                    && (job.exactly() != null || job.told() != null)) {
                missed[node] = new BindingConstraint();
            }
        }
        choices = Decisions.none(problem);
        order = new int[0];
    }

    /** Whether the node has a place. */
    public boolean planned(int node) {
        return start[node] != WorkingWindows.NEVER;
    }

    /** The node that made this one wait; −1 where none did. */
    public int blocker(int node) {
        BindingConstraint why = cause[node];
        if (why.kind.taken()) {
            return why.ref < problem.size ? why.ref : -1;
        }
        if (why.kind == BindingConstraint.Kind.VENDOR_SHUT) {
            return why.aux;
        }
        return why.kind == BindingConstraint.Kind.AFTER ? problem.before[node][why.ref].from() : -1;
    }

    /** The slot before which the arc lets nothing start (or end). */
    int bound(ActivityNetwork.Arc arc) {
        int from = arc.from();
        int slot =
                switch (arc.type()) {
                    case FINISH_START -> ready[from];
                    case START_START -> start[from];
                    case FINISH_FINISH -> end[from];
                };
        return problem.lagged(slot, arc);
    }

    /** From when on what comes before it, and its own bounds, would let the node start; NEVER where something is not
     * planned. */
    public int free(int node) {
        int slot = problem.boundSlot[node];
        for (ActivityNetwork.Arc arc : problem.before[node]) {
            boolean counts = arc.type() != Link.Type.FINISH_FINISH && !(arc.risk() >= 0 && choices[arc.risk()]);
            if (counts && !planned(arc.from())) {
                return WorkingWindows.NEVER;
            }
            slot = counts ? Math.max(slot, bound(arc)) : slot;
        }
        return slot;
    }

    /** Whether the node goes ahead of an at-risk link. */
    public boolean startsEarly(ActivityNetwork.Arc arc) {
        if (arc.risk() < 0 || !choices[arc.risk()] || !planned(arc.to())) {
            return false;
        }
        int at = arc.type() == Link.Type.FINISH_FINISH ? end[arc.to()] : start[arc.to()];
        return !planned(arc.from()) || bound(arc) > at;
    }
}
