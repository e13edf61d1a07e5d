/**
 * Mends the plan that stands after an edit: what can stay does, and what cannot finds room with as little moved as can be.
 * Begin with {@link galecrest.core.planner.repair.Repair}.
 */
@NullMarked
package galecrest.core.planner.repair;

import org.jspecify.annotations.NullMarked;
