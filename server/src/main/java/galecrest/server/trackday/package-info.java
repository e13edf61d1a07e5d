/** Test days with their run sheets and laps. Begin with {@code TestDayService}. */
@NullMarked
package galecrest.server.trackday;

import org.jspecify.annotations.NullMarked;
