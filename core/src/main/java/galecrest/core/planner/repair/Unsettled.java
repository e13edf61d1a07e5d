package galecrest.core.planner.repair;

import galecrest.core.plan.Plan;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.repair.Timetable.Place;
import galecrest.core.planner.repair.Timetable.Times;
import galecrest.core.planner.sgs.Schedule;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The plan that stands after an edit, as a timetable: what can stay has its place, and the jobs that cannot, or are new, are
 * without.
 */
record Unsettled(Timetable timetable, List<Integer> nodes) {
    /**
     * Looks what of a plan can stay.
     *
     * @param now a schedule of the problem as it is now, for what may not be moved: what goes on, is pinned or is no job
     */
    static Unsettled of(Plan plan, SchedulingProblem problem, Schedule now, int[] ranks) {
        Timetable timetable = new Timetable(problem, now.choices);
        @Nullable Times[] stood = stood(plan, problem);
        List<Place> staying = new ArrayList<>();
        List<Integer> nodes = new ArrayList<>();
        for (int node = 0; node < problem.size; node++) {
            if (!(problem.activities[node] instanceof Activity.JobActivity job)) {
                putOther(timetable, node, stood[node], now);
            } else if (ranks[node] == 3 && job.exactly() == null && job.never() == null) {
                Place told = told(timetable, node, job);
                if (told != null && told.at().equals(stood[node])) {
                    staying.add(told);
                } else if (told == null && now.planned(node) && times(node, now).equals(stood[node])) {
                    timetable.put(place(node, now));
                } else if (now.planned(node)) {
                    nodes.add(node);
                }
            } else if (now.planned(node)) {
                timetable.put(place(node, now));
            }
        }
        settle(timetable, staying, nodes);
        return new Unsettled(timetable, nodes);
    }

    private static @Nullable Times[] stood(Plan plan, SchedulingProblem problem) {
        @Nullable Times[] stood = new Times[problem.size];
        for (Plan.Placed placed : plan.placed()) {
            int node = problem.network.node(placed.work());
            if (node >= 0) {
                stood[node] = new Times(
                        problem.grid.atOrAfter(placed.start()),
                        problem.grid.atOrAfter(placed.end()),
                        problem.grid.atOrAfter(placed.ready()));
            }
        }
        return stood;
    }

    private static @Nullable Place told(Timetable timetable, int node, Activity.JobActivity job) {
        Activity.Told told = job.told();
        return told == null ? null : timetable.place(node, job, told.crew(), told.station(), told.slot());
    }

    private static Place place(int node, Schedule now) {
        return new Place(node, Objects.requireNonNull(now.crew[node]), now.station[node], times(node, now));
    }

    private static Times times(int node, Schedule now) {
        return new Times(now.start[node], now.end[node], now.ready[node]);
    }

    /** Outwork keeps to when it stood where its bounds allow that; all else that is no job is where it is now. */
    private static void putOther(Timetable timetable, int node, @Nullable Times was, Schedule now) {
        boolean stays = was != null
                && now.problem.activities[node] instanceof Activity.TripActivity trip
                && !trip.away()
                && was.start() >= now.problem.boundSlot[node];
        if (stays) {
            timetable.putOther(node, was, -1, null);
        } else if (now.planned(node)) {
            timetable.putOther(node, times(node, now), now.driver[node], now.drives[node]);
        }
    }

    /** Among each other they stood, so only what may not be moved can be in their way. */
    private static void settle(Timetable timetable, List<Place> staying, List<Integer> nodes) {
        Timetable.InTheWay inTheWay = timetable.new InTheWay(0);
        List<Place> settled = new ArrayList<>();
        for (Place place : staying) {
            if (place.start() >= timetable.earliest(place.node()) && inTheWay.of(place) != null) {
                settled.add(place);
            } else {
                nodes.add(place.node());
            }
        }
        for (Place place : settled) {
            timetable.put(place);
            Activity.JobActivity job = (Activity.JobActivity) timetable.problem.activities[place.node()];
            timetable.movable[place.node()] = job.told() != null && !job.told().frozen();
        }
    }
}
