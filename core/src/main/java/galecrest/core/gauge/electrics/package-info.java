/** Circuits: wires, fuses, what the supply gives. */
@NullMarked
package galecrest.core.gauge.electrics;

import org.jspecify.annotations.NullMarked;
