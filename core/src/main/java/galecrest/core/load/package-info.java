/** What goes aboard for an event. Begin with {@link galecrest.core.load.UsualLoad}. */
@NullMarked
package galecrest.core.load;

import org.jspecify.annotations.NullMarked;
