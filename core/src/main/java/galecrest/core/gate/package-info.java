/** Lines that a car may not cross until what they ask is so. Begin with {@link galecrest.core.gate.GateBook}. */
@NullMarked
package galecrest.core.gate;

import org.jspecify.annotations.NullMarked;
