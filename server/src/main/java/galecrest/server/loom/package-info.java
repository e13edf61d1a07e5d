/** A rewire: what becomes of each module, the tree in which the wires lie, and the wires on paper. */
@NullMarked
package galecrest.server.loom;

import org.jspecify.annotations.NullMarked;
