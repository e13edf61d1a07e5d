package galecrest.core.planner.search;

import galecrest.core.plan.Score;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import java.util.Set;

/** Makes the schedules that a search may begin from, as many as there are steps for, and keeps the best. */
public final class InitialSolutions {
    private final SchedulingProblem problem;
    private final Evaluator evaluator;
    private final long steps;
    private ElitePool.Member best;

    /** Makes the first schedule of the order and the choices; others are made while there are steps. */
    public InitialSolutions(
            SchedulingProblem problem, Evaluator evaluator, int[] order, boolean[] choices, long steps) {
        this.problem = problem;
        this.evaluator = evaluator;
        this.steps = steps;
        best = evaluator.made(order, choices, evaluator.make(order, choices));
    }

    /** The best of those that were offered. */
    public ElitePool.Member best() {
        return best;
    }

    /** Tries another beginning; one that is the best already is not made again. */
    public void offer(int[] order, boolean[] choices) {
        boolean same = order == best.list() && choices == best.choices();
        if (!same && evaluator.steps() < steps) {
            Score its = evaluator.make(order, choices, best.score());
            if (its != null && its.compareTo(best.score()) < 0) {
                best = evaluator.made(order, choices, its);
            }
        }
    }

    /** Tries an order with all kept to what was told but the builds whose dates that has late. */
    public void offerLetGo(int[] order) {
        if (evaluator.steps() + 1 >= steps) {
            return;
        }
        boolean atRisk = problem.network.risks > 0 && best.choices()[0];
        evaluator.make(order, Decisions.of(problem, atRisk, true, Set.of()));
        Set<Integer> late = evaluator.objective.lateBuilds(evaluator.schedule);
        if (!late.isEmpty()) {
            offer(order, Decisions.of(problem, atRisk, true, late));
        }
    }
}
