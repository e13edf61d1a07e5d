package galecrest.core.risk;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.SerialScheduler;
import java.util.ArrayList;
import java.util.List;

/**
 * How much later one thing alone can come without harm to a date, found by trying: the plan is replayed with it later and
 * later, everything else as it is. A date that is late already may become no later than it is.
 */
public final class OwnFloat {
    /**
     * The first step of a search, half an hour; it doubles from there. A little lateness may harm where more does not, since
     * people then take other work first: what counts is the first harm.
     */
    private static final int FIRST_STEP = 6;

    private final Replay replay;
    private final int horizon;
    private final int[][] needs;
    /** Of each date, the slot by which it must be ready; {@link WorkingWindows#NEVER} of one that cannot be planned. */
    private final int[] limits;

    private final SchedulingProblem trial;
    private final SerialScheduler later;

    /** What it is that comes later: puts the slot into the figures of a trial. */
    public interface Thing {
        void comes(SchedulingProblem trial, int slot);
    }

    public OwnFloat(Replay replay) {
        this.replay = replay;
        SchedulingProblem problem = replay.policy;
        horizon = problem.slots;
        trial = problem.copy(problem.activities);
        later = Replay.schedule(trial);
        later.generate(replay.order, replay.choices);
        List<int[]> counted = new ArrayList<>();
        List<Integer> until = new ArrayList<>();
        for (int c = 0; c < problem.network.needs.length; c++) {
            int finish = 0;
            for (int node : problem.network.needs[c]) {
                finish = Math.max(finish, later.planned(node) ? later.ready[node] : WorkingWindows.NEVER);
            }
            if (finish < WorkingWindows.NEVER) {
                counted.add(problem.network.needs[c]);
                until.add(Math.max(finish, problem.network.due[c]));
            }
        }
        needs = counted.toArray(int[][]::new);
        limits = until.stream().mapToInt(Integer::intValue).toArray();
    }

    /** The last slot at which the thing harms no date; the end of what is planned ahead where it never does. */
    public int latest(Thing thing, int planned) {
        if (harmless(thing, horizon - 1)) {
            return horizon - 1;
        }
        int good = planned;
        int bad = horizon - 1;
        for (int step = FIRST_STEP; good + step < bad; step *= 2) {
            if (!harmless(thing, good + step)) {
                bad = good + step;
                break;
            }
            good += step;
        }
        while (bad - good > 1) {
            int middle = (good + bad) >>> 1;
            if (harmless(thing, middle)) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        return good;
    }

    private boolean harmless(Thing thing, int slot) {
        SchedulingProblem as = replay.policy;
        System.arraycopy(as.boundSlot, 0, trial.boundSlot, 0, as.size);
        System.arraycopy(as.back, 0, trial.back, 0, as.size);
        thing.comes(trial, slot);
        later.generate(replay.order, replay.choices);
        for (int c = 0; c < limits.length; c++) {
            for (int node : needs[c]) {
                if (!later.planned(node) || later.ready[node] > limits[c]) {
                    return false;
                }
            }
        }
        return true;
    }
}
