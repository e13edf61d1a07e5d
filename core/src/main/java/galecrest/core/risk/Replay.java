package galecrest.core.risk;

import galecrest.core.plan.Plan;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.CrewModes;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.planner.sgs.BindingConstraint;
import galecrest.core.planner.sgs.SerialScheduler;
import galecrest.core.work.LinkId;
import galecrest.core.work.WorkId;
import java.util.Arrays;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * The policy that a plan is, for work that takes longer or shorter than was planned: everything in the order of the
 * plan's starts, by the plan's people at the plan's stations, as early as what comes before it lets it; what waits in the
 * plan although it need not (because people were told so, or it is pinned) waits here too. With the values that the plan
 * was made with, that is the plan itself, start by start.
 */
public final class Replay {
    /** Figures that may be drawn anew; see {@link SchedulingProblem#copy}. */
    public final SchedulingProblem policy;
    /** The planned work, in the order in which it is placed. */
    public final int[] order;

    public final boolean[] choices;

    /** Prepares the replay of a plan of just this problem. */
    public Replay(SchedulingProblem problem, Plan plan) {
        Map<WorkId, Plan.Placed> placed = plan.byWork();
        double[] starts = new double[problem.size];
        Arrays.fill(starts, Double.MAX_VALUE);
        int[] planned = new int[problem.size];
        Arrays.fill(planned, -1);
        Activity[] activities = problem.activities.clone();
        policy = problem.copy(activities);
        policy.interleaves = true;
        CrewModes crews = new CrewModes(problem.network.shop, problem.calendars, problem.pools);
        for (int node = 0; node < problem.size; node++) {
            Plan.Placed where = placed.get(problem.network.works.get(node).id());
            if (where == null) {
                continue;
            }
            starts[node] = problem.grid.atOrAfter(where.start());
            planned[node] = (int) starts[node];
            if (activities[node] instanceof Activity.JobActivity job) {
                activities[node] = job.free();
                int[] crew =
                        where.crew().stream().mapToInt(problem.network::person).toArray();
                policy.crews[node] = new CrewMode[] {crews.just(crew)};
                policy.stations[node] =
                        new int[] {where.station().map(problem.network::station).orElse(-1)};
            } else if (activities[node] instanceof Activity.TripActivity trip && where.slotMissed()) {
                activities[node] = trip.queueing();
            } else if (activities[node] instanceof Activity.DriveActivity drive) {
                activities[node] = drive.asPlanned(
                        problem.pools.of(problem.network.person(where.crew().get(0))),
                        where.at().stream()
                                .flatMapToInt(s -> Arrays.stream(
                                        new int[] {problem.grid.atOrAfter(s.from()), problem.grid.atOrBefore(s.to())}))
                                .toArray());
            }
        }
        order = Arrays.stream(ActivityList.by(problem, starts, new int[problem.size]))
                .filter(node -> starts[node] != Double.MAX_VALUE)
                .toArray();
        choices = choices(problem, plan);
        wait(planned);
    }

    /** At-risk links as the plan uses them; running-in keeps to its days where it can. */
    private boolean[] choices(SchedulingProblem problem, Plan plan) {
        boolean[] all = Decisions.none(problem);
        Set<LinkId> early = new HashSet<>(plan.startedAtRisk());
        for (ActivityNetwork.Arc[] arcs : problem.before) {
            for (ActivityNetwork.Arc arc : arcs) {
                if (arc.risk() >= 0) {
                    all[arc.risk()] = early.contains(arc.link().orElseThrow());
                }
            }
        }
        for (int node : order) {
            all[problem.network.risks + node] = policy.activities[node] instanceof Activity.DriveActivity;
        }
        return all;
    }

    /** Finds out what waits in the plan although it need not, by letting everything keep to its planned start once. */
    private void wait(int[] planned) {
        boolean[] keep = choices.clone();
        for (int node : order) {
            keep[policy.network.risks + node] = true;
        }
        System.arraycopy(planned, 0, policy.told, 0, planned.length);
        SerialScheduler likely = schedule(policy);
        likely.generate(order, keep);
        for (int node : order) {
            boolean drive = policy.activities[node] instanceof Activity.DriveActivity;
            if (likely.cause[node].kind == BindingConstraint.Kind.TOLD && !drive) {
                policy.waits[node] = planned[node];
            }
            policy.told[node] = drive ? planned[node] : -1;
        }
    }

    /** A schedule for the policy or a copy of it, in which what is not planned is not there. */
    public static SerialScheduler schedule(SchedulingProblem problem) {
        SerialScheduler schedule = new SerialScheduler(problem);
        Arrays.fill(schedule.start, WorkingWindows.NEVER);
        return schedule;
    }
}
