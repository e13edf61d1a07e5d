/**
 * The prepared scheduling problem: every job, trip and drive as an activity with its modes (crews, stations), the pools of
 * people, and the choices that a schedule takes. Begin with {@link galecrest.core.planner.problem.SchedulingProblem}.
 */
@NullMarked
package galecrest.core.planner.problem;

import org.jspecify.annotations.NullMarked;
