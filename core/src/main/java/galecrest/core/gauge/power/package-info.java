/** Power, the air it was made in, and the fuel that it takes. */
@NullMarked
package galecrest.core.gauge.power;

import org.jspecify.annotations.NullMarked;
