/** The independent checker of plans; it shares no code with the planner. */
@NullMarked
package galecrest.core.audit;

import org.jspecify.annotations.NullMarked;
