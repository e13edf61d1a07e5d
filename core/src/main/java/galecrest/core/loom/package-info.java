/** The loom of a car: what is decided of each module, the tree in which the wires lie, and the wires. */
@NullMarked
package galecrest.core.loom;

import org.jspecify.annotations.NullMarked;
