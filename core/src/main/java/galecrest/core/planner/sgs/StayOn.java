package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;

/**
 * The place for a job in one go that does not fit into its crew's hours: begun within them, it goes on beyond their end.
 * Only trials of a plan ask for it, where a job has taken longer than was planned.
 */
final class StayOn {
    private final SchedulingProblem problem;
    private final ResourceState taken;

    int start;
    int end;

    StayOn(SchedulingProblem problem, ResourceState taken) {
        this.problem = problem;
        this.taken = taken;
    }

    /**
     * Finds the first start at which the crew is in and the job, ending so many slots after the end of their hours at the
     * most, is in nobody's way; false where there is none.
     */
    boolean find(
            Activity.JobActivity job, int work, CrewMode crew, int station, int from, int endNotBefore, int beyond) {
        WorkingWindows hours = crew.hours(station, false);
        start = from;
        while (true) {
            int window = hours.windowAfter(start);
            if (window == hours.count()) {
                return false;
            }
            start = Math.max(start, hours.startOf(window));
            end = start + work;
            int past = start;
            if (end < endNotBefore) {
                past = start + endNotBefore - end;
            } else if (end - hours.endOf(window) > beyond) {
                past = hours.endOf(window);
            } else {
                past = blockedUntil(job, crew, station);
            }
            if (past <= start) {
                return true;
            }
            start = past;
        }
    }

    /** The end of what is in the way; no later than the start where nothing is. */
    private int blockedUntil(Activity.JobActivity job, CrewMode crew, int station) {
        for (int i = 0; i < crew.pools.length; i++) {
            int most = problem.pools.size(crew.pools[i]) - crew.counts[i];
            int until = relief(taken.pools[crew.pools[i]], most);
            if (until > start) {
                return until;
            }
        }
        if (station >= 0) {
            Occupancy stays = taken.stations[station];
            int stay = stays.other(job.build(), start, end);
            if (stay >= 0) {
                return stays.end(stay);
            }
        }
        if (!job.onCar()) {
            return start;
        }
        Occupancy claims = taken.cars[job.build()];
        int claim = claims.conflict(start, end, job.hold(), job.zone(), station);
        if (claim < 0 && job.cureHold() >= 0 && job.cure() > 0) {
            claim = claims.conflict(end, end + job.cure(), job.cureHold(), job.zone(), -1);
        }
        return claim >= 0
                ? claims.end(claim)
                : relief(taken.zone(job.build(), job.zone()), job.zoneLimit() - crew.hands);
    }

    private int relief(ResourceProfile usage, int most) {
        int step = usage.crowded(usage.stepAt(start), end, most);
        return step < 0 ? start : usage.slotOf(usage.relieved(step, most));
    }
}
