package galecrest.core.device.standin;

import java.util.List;
import java.util.Optional;

/**
 * A simulated device: a model over time that says lines like a real one, and does what it is told. Time is in seconds since
 * it was switched on and never goes back.
 */
public interface StandIn {
    /** pads, weather or logger. */
    String kind();

    /** The lines that it says at that time; none for what is silent. */
    List<String> lines(double seconds);

    /** Does what {@code simulate} is followed by; a fault in words where it cannot. */
    Optional<String> simulate(String what, double seconds);

    /** Takes what now stands on it as nothing; only scales know that. */
    default void zero(double seconds) {}
}
