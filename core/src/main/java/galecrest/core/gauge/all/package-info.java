/** All gauges by name. */
@NullMarked
package galecrest.core.gauge.all;

import org.jspecify.annotations.NullMarked;
