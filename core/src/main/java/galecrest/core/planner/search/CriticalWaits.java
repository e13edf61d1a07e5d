package galecrest.core.planner.search;

import galecrest.core.planner.objective.Objective;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.BindingConstraint;
import galecrest.core.planner.sgs.Schedule;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** What waits for what on the chains of the dates in a schedule: where a change of the order could win something. */
final class CriticalWaits {
    private final SchedulingProblem problem;
    private final Objective objective;
    private final boolean leaps;
    private int[] waiters = new int[16];
    private int[] blockers = new int[16];
    private int waits;
    /** A row of work on a chain that waits for the same thing, each for the next. */
    private final int[] row;

    private int rowLength;
    private BindingConstraint.Kind rowKind = BindingConstraint.Kind.NOTHING;
    private int rowOf;
    /** Nodes on the chains that keep to what was told. */
    private final int[] kept = new int[64];

    private int keptCount;
    private int[] position = new int[0];
    private int free;

    /**
     * Looks at the schedules of a problem.
     *
     * @param leaps whether the last of a row may also go ahead of its first
     */
    CriticalWaits(SchedulingProblem problem, Objective objective, boolean leaps) {
        this.leaps = leaps;
        this.problem = problem;
        this.objective = objective;
        row = new int[problem.size + 1];
    }

    /** So many waits; those of late dates are there several times. */
    int count() {
        return waits;
    }

    /** The number of different waits that the chains show; each is then there once. */
    int distinct() {
        long[] all = new long[waits];
        for (int i = 0; i < waits; i++) {
            all[i] = ((long) waiters[i] << 32) | blockers[i];
        }
        Arrays.sort(all);
        waits = 0;
        for (int i = 0; i < all.length; i++) {
            if (i == 0 || all[i] != all[i - 1]) {
                note((int) (all[i] >> 32), (int) all[i]);
            }
        }
        return waits;
    }

    int waiter(int wait) {
        return waiters[wait];
    }

    int blocker(int wait) {
        return blockers[wait];
    }

    /** Nodes on the chains that keep to what was told, so many. */
    int keptCount() {
        return keptCount;
    }

    int kept(int at) {
        return kept[at];
    }

    /**
     * Looks at what the schedule waits for on the chains of its dates.
     *
     * @param position where each node is in the list that the schedule was made of
     * @param free the first position from which on the order is free
     */
    void look(Schedule schedule, int[] position, int free) {
        this.position = position;
        this.free = free;
        waits = 0;
        keptCount = 0;
        int dates = problem.network.shop.commitments().size();
        for (int c = 0; c < dates; c++) {
            chain(schedule, last(schedule, problem.network.needs[c]), objective.late(c, schedule));
        }
        if (waits == 0) {
            chain(schedule, last(schedule, null), true);
        }
    }

    private int last(Schedule schedule, int @Nullable [] needs) {
        int last = -1;
        int count = needs == null ? problem.size : needs.length;
        for (int i = 0; i < count; i++) {
            int node = needs == null ? i : needs[i];
            if (schedule.planned(node) && (last < 0 || schedule.ready[node] > schedule.ready[last])) {
                last = node;
            }
        }
        return last;
    }

    /**
     * Notes what could go ahead of what on the chain that ends with the node; that of a late date counts four times. In a
     * row of work that waits for the same thing, only a change at its ends can shorten the chain (Nowicki and Smutnicki,
     * 1996): the last may go ahead of the one before it, and the second ahead of the first.
     */
    private void chain(Schedule schedule, int last, boolean late) {
        int node = last;
        rowLength = 0;
        for (int length = 0; node >= 0 && length < problem.size; length++) {
            BindingConstraint cause = schedule.cause[node];
            int next = -1;
            boolean goesOn = false;
            if (cause.kind.taken() && cause.ref >= 0 && cause.ref < problem.size) {
                next = cause.ref;
                goesOn = position[node] >= free && position[next] >= free;
            } else if (cause.kind == BindingConstraint.Kind.TOLD && keptCount < kept.length) {
                kept[keptCount++] = node;
            } else if (cause.kind == BindingConstraint.Kind.AFTER) {
                next = problem.before[node][cause.ref].from();
            }
            boolean same = rowLength > 0 && cause.kind == rowKind && cause.aux == rowOf;
            if (rowLength > 0 && !(goesOn && same)) {
                row(late ? 4 : 1);
            }
            if (goesOn) {
                if (rowLength == 0) {
                    row[rowLength++] = node;
                    rowKind = cause.kind;
                    rowOf = cause.aux;
                }
                row[rowLength++] = next;
            }
            node = next;
        }
        if (rowLength > 0) {
            row(late ? 4 : 1);
        }
    }

    /**
     * Notes the changes at the ends of a row of work, which stands in it from its last to its first; where others can do
     * the work, a leap over the whole row is worth trying too (measured).
     */
    private void row(int times) {
        int first = rowLength - 1;
        for (int time = 0; time < times; time++) {
            note(row[0], row[1]);
            if (first > 1) {
                note(row[first - 1], row[first]);
                if (leaps) {
                    note(row[0], row[first]);
                }
            }
        }
        rowLength = 0;
    }

    private void note(int waiter, int blocker) {
        if (waits == waiters.length) {
            waiters = Arrays.copyOf(waiters, waits * 2);
            blockers = Arrays.copyOf(blockers, waits * 2);
        }
        waiters[waits] = waiter;
        blockers[waits++] = blocker;
    }
}
