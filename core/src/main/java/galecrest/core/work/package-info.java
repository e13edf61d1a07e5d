/**
 * Work on the cars and what binds it: jobs, outwork and running-in, estimates, links, pins, holds, and the dates that are due.
 * Begin with {@link galecrest.core.work.Work}.
 */
@NullMarked
package galecrest.core.work;

import org.jspecify.annotations.NullMarked;
