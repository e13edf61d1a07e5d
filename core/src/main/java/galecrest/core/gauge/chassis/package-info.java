/** Gauges of the chassis. Lengths x run from the front axle to the rear, y to the left, z up, in metres. */
@NullMarked
package galecrest.core.gauge.chassis;

import org.jspecify.annotations.NullMarked;
