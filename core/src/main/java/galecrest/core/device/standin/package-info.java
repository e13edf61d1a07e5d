/** Simulated instruments, each a model over time that says lines like a real one. Begin with {@code StandIn}. */
@NullMarked
package galecrest.core.device.standin;

import org.jspecify.annotations.NullMarked;
