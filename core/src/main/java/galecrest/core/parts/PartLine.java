package galecrest.core.parts;

import galecrest.core.time.Minutes;
import java.util.Optional;

/**
 * A part that jobs of one build wait for.
 *
 * @param arrival when it is expected; empty with no date known
 * @param inspection shop hours to inspect it after arrival
 * @param pairedWith the part that it is fitted together with: neither is ready before both are
 * @param pairOverride why the pair may be fitted half, where the manager decided so
 */
public record PartLine(
        PartId id,
        String name,
        PartState state,
        Optional<Arrival> arrival,
        Minutes inspection,
        Optional<PartId> pairedWith,
        Optional<String> pairOverride) {
    public PartLine {
        if (inspection.value() < 0) {
            throw new IllegalArgumentException("The inspection of " + name + " must not take negative time.");
        }
    }

    public PartLine withArrival(Optional<Arrival> other) {
        return new PartLine(id, name, state, other, inspection, pairedWith, pairOverride);
    }

    /** Whether the part waits for its partner. */
    public boolean waitsForPair() {
        return pairedWith.isPresent() && pairOverride.isEmpty();
    }
}
