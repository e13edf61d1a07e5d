package galecrest.core.component;

import galecrest.core.build.BuildId;
import java.time.Instant;
import java.util.Optional;

/**
 * A time that a component spent on a car.
 *
 * @param place where on it; may be empty
 * @param until when it was taken off; empty while it is on it
 */
public record Fitting(BuildId build, String place, Instant from, Optional<Instant> until) {
    public Fitting {
        if (until.isPresent() && until.get().isBefore(from)) {
            throw new IllegalArgumentException("It was taken off at " + until.get() + ", before it was fitted.");
        }
    }

    /** Whether it is on the car at that moment: from when it was fitted, up to but not at the moment it was taken off. */
    public boolean isOn(Instant at) {
        return !at.isBefore(from) && until.map(at::isBefore).orElse(true);
    }
}
