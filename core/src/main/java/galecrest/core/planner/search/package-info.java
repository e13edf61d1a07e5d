/**
 * Improves schedules: first solutions, neighbours drawn where the critical chain waits, a tabu list, an elite pool. Begin
 * with {@link galecrest.core.planner.search.LocalSearch}.
 */
@NullMarked
package galecrest.core.planner.search;

import org.jspecify.annotations.NullMarked;
