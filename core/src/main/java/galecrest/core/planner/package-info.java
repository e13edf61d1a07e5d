/**
 * Makes a plan of a snapshot: prepares the problem, makes first schedules, has the search improve the best, and tells the
 * result. Begin with {@link galecrest.core.planner.Planner}, the only class that other rooms call; the rooms below are
 * its stages, each knowing only those before it.
 */
@NullMarked
package galecrest.core.planner;

import org.jspecify.annotations.NullMarked;
