package galecrest.core.planner.search;

import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.planner.objective.LatenessBound;
import galecrest.core.planner.objective.Objective;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.result.PlanBuilder;
import galecrest.core.planner.sgs.SerialScheduler;
import org.jspecify.annotations.Nullable;

/** Makes schedules of one problem, each over the one before, and scores them; counts how many. For one thread. */
public final class Evaluator {
    /** The schedule made last; overwritten by the next. */
    public final SerialScheduler schedule;
    /** What its schedules are scored by. */
    public final Objective objective;

    private final SchedulingProblem problem;
    private @Nullable LatenessBound floor;
    private int steps;

    /** An evaluator for one thread. */
    public Evaluator(SchedulingProblem problem) {
        this.problem = problem;
        schedule = new SerialScheduler(problem);
        objective = new Objective(problem);
    }

    /** The number of schedules made. */
    public int steps() {
        return steps;
    }

    /** Counts schedules that were made elsewhere, as in the backward half of a forward-backward pass. */
    public void count(int more) {
        steps += more;
    }

    /** Makes the schedule of a list and scores it. */
    public Score make(int[] order, boolean[] choices) {
        schedule.generate(order, choices);
        steps++;
        return objective.score(schedule);
    }

    /** The score of an order; null where it is certain to be worse than the limit. */
    @Nullable
    public Score make(int[] order, boolean[] choices, Score limit) {
        steps++;
        if (floor == null) {
            floor = new LatenessBound(problem, objective);
        }
        floor.begin(limit);
        return schedule.generate(order, choices, floor) ? objective.score(schedule) : null;
    }

    /** Makes the schedule around what stays, see {@link SerialScheduler#generateAround}; its order is the schedule's own. */
    public Score makeAround(
            int[] order,
            boolean[] choices,
            SerialScheduler.Displaced[] displaced,
            boolean[] atOnce,
            boolean reserved,
            boolean explains) {
        schedule.generateAround(order, choices, displaced, atOnce, reserved, explains);
        steps++;
        return objective.score(schedule);
    }

    /** The schedule made last, as a member of a population. */
    public ElitePool.Member made(int[] order, boolean[] choices, Score score) {
        return new ElitePool.Member(order, choices, score, ElitePool.mark(schedule));
    }

    /** The plan of a member. */
    public Plan plan(ElitePool.Member member) {
        if (schedule.order != member.list() || schedule.choices != member.choices()) {
            schedule.generate(member.list(), member.choices());
        }
        return PlanBuilder.plan(schedule, objective);
    }
}
