package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;
import org.jspecify.annotations.Nullable;

/** The place for a job that ends first, of all crews at all stations; see {@link EarliestStart} for one of each. */
final class ModeSelection {
    private final EarliestStart walk;
    /** Of each crew, when it is free at all; {@link WorkingWindows#NEVER} once it has been tried. */
    private int[] firsts = new int[0];
    /** The number of the present place among crews and stations as they are listed, and of the best. */
    private int place;

    private int bestPlace;

    /** The best place found last: null crew for none. */
    @Nullable
    CrewMode bestCrew;

    /** Whether of places that are equally good the last one found is kept instead of the first. */
    boolean lastOfEquals;

    int bestStation;
    int bestStart;
    int bestEnd;
    final BindingConstraint bestCause = new BindingConstraint();

    ModeSelection(SchedulingProblem problem, ResourceState taken) {
        walk = new EarliestStart(problem, taken);
    }

    /**
     * Finds the best place among crews and stations; {@link #bestCrew} is null where there is none.
     *
     * @param from the start is not before this slot
     * @param endNotBefore nor the end before this one
     */
    void best(Activity.JobActivity activity, int slots, CrewMode[] crews, int[] stations, int from, int endNotBefore) {
        bestCrew = null;
        bestEnd = WorkingWindows.NEVER;
        walk.next(activity, slots);
        if (firsts.length < crews.length) {
            firsts = new int[crews.length];
        }
        for (int i = 0; i < crews.length; i++) {
            firsts[i] = walk.firstGap(crews[i], from);
        }
        for (int next = soonest(crews.length); next >= 0; next = soonest(crews.length)) {
            int first = firsts[next];
            if (bestCrew != null && first + slots > bestEnd) {
                return;
            }
            firsts[next] = WorkingWindows.NEVER;
            place = next * stations.length;
            if (walk.begin(crews[next], first, from, bestEnd)) {
                for (int station : stations) {
                    int latest = latestStart();
                    int least = walk.begun + slots;
                    if (least < bestEnd || least == bestEnd && walk.begun <= latest) {
                        walk.again();
                        if (walk.earliest(station, endNotBefore, bestEnd, latest) && better()) {
                            keep();
                        }
                    }
                    place++;
                }
            }
        }
    }

    /** Of the crews not tried yet, the one that is free first; −1 where there is none that ever is. */
    private int soonest(int count) {
        int soonest = -1;
        int least = WorkingWindows.NEVER;
        for (int i = 0; i < count; i++) {
            if (firsts[i] < least) {
                least = firsts[i];
                soonest = i;
            }
        }
        return soonest;
    }

    /**
     * As {@link #best}, but only a start at just this slot counts.
     *
     * @param later where there is none, what binds the earliest other one; null where that is not asked
     */
    void exactly(
            Activity.JobActivity activity,
            int slots,
            CrewMode[] crews,
            int[] stations,
            int slot,
            int endNotBefore,
            @Nullable BindingConstraint later) {
        bestCrew = null;
        bestEnd = WorkingWindows.NEVER;
        int laterEnd = WorkingWindows.NEVER;
        if (later != null) {
            later.set(BindingConstraint.Kind.SHIFT, -1, -1, 0);
        }
        walk.next(activity, slots);
        place = 0;
        for (CrewMode someCrew : crews) {
            for (int someStation : stations) {
                place++;
                int latest = later == null ? walk.end(someCrew, someStation, slot) : WorkingWindows.NEVER;
                boolean found = walk.beginAt(someCrew, slot, later == null ? slot + slots : WorkingWindows.NEVER)
                        && walk.earliest(someStation, endNotBefore, latest, slot);
                if (found && walk.start == slot && better()) {
                    keep();
                } else if (later != null && found && walk.start != slot && walk.end < laterEnd) {
                    laterEnd = walk.end;
                    if (walk.cause.kind != BindingConstraint.Kind.NOTHING) {
                        walk.resolve();
                        later.set(walk.cause);
                    }
                }
            }
        }
    }

    /**
     * Ends sooner, then starts sooner; then what somebody else could have done is the weaker reason, so that a start
     * is explained by what holds whoever does the work.
     */
    private boolean better() {
        if (bestCrew == null || walk.end != bestEnd) {
            return bestCrew == null || walk.end < bestEnd;
        }
        if (walk.start != bestStart) {
            return walk.start < bestStart;
        }
        boolean personal = walk.cause.kind.personal();
        return personal == bestCause.kind.personal() ? preferred() : !personal;
    }

    /** Whether of two places that are equally good it is this one that is kept, not the best. */
    private boolean preferred() {
        return place < bestPlace != lastOfEquals;
    }

    /** How late a place that ends with the best may start and still be better. */
    private int latestStart() {
        if (bestCrew == null) {
            return WorkingWindows.NEVER;
        }
        return preferred() || bestCause.kind.personal() ? bestStart : bestStart - 1;
    }

    /** A place that was found elsewhere, taken as the best. */
    void keep(CrewMode crew, int station, int start, int end) {
        bestCrew = crew;
        bestStation = station;
        bestStart = start;
        bestEnd = end;
        bestCause.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
    }

    private void keep() {
        bestCrew = walk.crew;
        bestPlace = place;
        bestStation = walk.station;
        bestStart = walk.start;
        bestEnd = walk.end;
        walk.resolve();
        bestCause.set(walk.cause);
    }
}
