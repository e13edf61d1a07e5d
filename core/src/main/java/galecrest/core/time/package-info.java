/** Working time, spans and the weekly calendars of people and firms. */
@NullMarked
package galecrest.core.time;

import org.jspecify.annotations.NullMarked;
