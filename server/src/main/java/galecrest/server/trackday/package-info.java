/** Test days with their run sheets, inspections, and what to look at after an impact. Begin with {@code TestDayService}. */
@NullMarked
package galecrest.server.trackday;

import org.jspecify.annotations.NullMarked;
