package galecrest.core.parts;

import galecrest.core.time.Arrival;
import galecrest.core.time.Minutes;
import galecrest.core.vendor.VendorId;
import java.util.Optional;

/**
 * A part that jobs of one build wait for.
 *
 * @param arrival when it is promised; empty with no date known
 * @param inspection shop hours to inspect it after arrival
 * @param pairedWith the part that it is fitted together with: neither is ready before both are
 * @param pairOverride why the pair may be fitted half, where the manager decided so
 * @param vendor who sends it, where that is written down
 */
public record PartLine(
        PartId id,
        String name,
        PartState state,
        Optional<Arrival> arrival,
        Minutes inspection,
        Optional<PartId> pairedWith,
        Optional<String> pairOverride,
        Optional<VendorId> vendor) {
    public PartLine {
        if (inspection.value() < 0) {
            throw new IllegalArgumentException("The inspection of " + name + " must not take negative time.");
        }
    }

    public PartLine withArrival(Optional<Arrival> other) {
        return new PartLine(id, name, state, other, inspection, pairedWith, pairOverride, vendor);
    }

    /** The same part, here and as ordered. */
    public PartLine accepted() {
        return new PartLine(id, name, PartState.ACCEPTED, arrival, inspection, pairedWith, pairOverride, vendor);
    }

    /** The same part, which need not wait for its other half any more. */
    public PartLine freedFromPair(String because) {
        return new PartLine(id, name, state, arrival, inspection, pairedWith, Optional.of(because), vendor);
    }

    /** The same part with another date; one that was turned down counts as ordered anew. */
    public PartLine expectedAgain(Arrival other) {
        return new PartLine(
                id,
                name,
                state.turnedDown() ? PartState.ORDERED : state,
                Optional.of(other),
                inspection,
                pairedWith,
                pairOverride,
                vendor);
    }

    /** Whether the part waits for its partner. */
    public boolean waitsForPair() {
        return pairedWith.isPresent() && pairOverride.isEmpty();
    }
}
