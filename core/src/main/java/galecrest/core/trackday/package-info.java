/** The day at the track and the inspection before it. Begin with {@link galecrest.core.trackday.TestDay}. */
@NullMarked
package galecrest.core.trackday;

import org.jspecify.annotations.NullMarked;
