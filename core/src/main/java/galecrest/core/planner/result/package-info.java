/**
 * A schedule becomes a plan: who of a pool does it, the reason of each start, what it means for the dates. Begin with
 * {@link galecrest.core.planner.result.PlanBuilder}.
 */
@NullMarked
package galecrest.core.planner.result;

import org.jspecify.annotations.NullMarked;
