/**
 * What a schedule is worth: lateness by weight, risk taken, moves away from what people were told; and a bound that ends a
 * hopeless schedule early. Begin with {@link galecrest.core.planner.objective.Objective}.
 */
@NullMarked
package galecrest.core.planner.objective;

import org.jspecify.annotations.NullMarked;
