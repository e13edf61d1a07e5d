/** Gauges of the track: laps. */
@NullMarked
package galecrest.core.gauge.track;

import org.jspecify.annotations.NullMarked;
