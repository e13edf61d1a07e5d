/** Gauges of engine and driveline. */
@NullMarked
package galecrest.core.gauge.driveline;

import org.jspecify.annotations.NullMarked;
