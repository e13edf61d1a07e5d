/** Between events: the turnaround, the spare car, how long people are at it. Begin with {@link galecrest.core.season.UsualTurnaround}. */
@NullMarked
package galecrest.core.season;

import org.jspecify.annotations.NullMarked;
