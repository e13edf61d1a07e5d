package galecrest.core.planner.sgs;

import galecrest.core.planner.problem.Decisions;

/** From when on what comes before a node lets it start, from when on it may end, and what bound both. */
final class StartWindow {
    int start;
    int end;
    final BindingConstraint startCause = new BindingConstraint();
    final BindingConstraint endCause = new BindingConstraint();

    /** Nothing bounds the node yet. */
    void open() {
        start = 0;
        end = 0;
        startCause.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        endCause.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
    }

    /** It starts no sooner than at the slot, for that reason. */
    void notBefore(int slot, BindingConstraint.Kind kind, int ref) {
        if (slot > start) {
            start = slot;
            startCause.set(kind, ref, -1, slot);
        }
    }

    /** It ends no sooner than at the slot, for that arc. */
    void endNotBefore(int slot, int arc) {
        if (slot > end) {
            end = slot;
            endCause.set(BindingConstraint.Kind.AFTER, arc, -1, slot);
        }
    }

    /** Sets the reason for a start that nothing taken moved: by its bound, by its end's bound, or by the hours. */
    void plainCause(Schedule schedule, int node, int plainEnd) {
        if (plainEnd < end) {
            schedule.cause[node].set(endCause);
        } else if (start == 0 && schedule.start[node] > 0) {
            schedule.cause[node].set(BindingConstraint.Kind.SHIFT, -1, -1, 0);
        } else {
            schedule.cause[node].set(startCause);
        }
    }

    /** Whether the node could start sooner than people were told but keeps to that; then that bounds it. */
    boolean waitsAsTold(Schedule schedule, int node, int could) {
        if (!Decisions.keeps(schedule.problem, schedule.choices, node) || schedule.problem.told[node] <= could) {
            return false;
        }
        start = schedule.problem.told[node];
        startCause.set(BindingConstraint.Kind.TOLD, -1, -1, start);
        return true;
    }
}
