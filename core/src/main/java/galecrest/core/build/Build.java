package galecrest.core.build;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;

/**
 * One car's programme of work.
 *
 * @param weight priority against other builds, more than 0
 * @param zoneLimits how many people fit in a zone; {@link #DEFAULT_ZONE_LIMIT} where none is given
 * @param parked where the car has been put aside
 */
public record Build(
        BuildId id, String number, String name, double weight, Map<Zone, Integer> zoneLimits, Optional<Parked> parked) {
    /** Two people fit in most zones of most cars (common practice). */
    public static final int DEFAULT_ZONE_LIMIT = 2;

    /** Put aside: until then nothing is done on the car; with no end, its work is not in the plan at all. */
    public record Parked(Optional<Instant> until) {}

    /** A build that is worked on. */
    public Build(BuildId id, String number, String name, double weight, Map<Zone, Integer> zoneLimits) {
        this(id, number, name, weight, zoneLimits, Optional.empty());
    }

    public Build {
        zoneLimits = Map.copyOf(zoneLimits);
        if (!(weight > 0 && weight < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("The weight of " + name + " must be more than 0, not " + weight + ".");
        }
    }

    /** Whether it is put aside at that moment; it comes back by itself when its day has come. */
    public boolean isParked(Instant now) {
        return parked.isPresent() && parked.get().until().map(now::isBefore).orElse(true);
    }

    /** The same, put aside, or taken back where that is empty. */
    public Build withParked(Optional<Parked> other) {
        return new Build(id, number, name, weight, zoneLimits, other);
    }

    public int zoneLimit(Zone zone) {
        return zoneLimits.getOrDefault(zone, DEFAULT_ZONE_LIMIT);
    }

    /** How people call the car: its number and name, or the name alone. */
    public String called() {
        return number.isBlank() ? name : number + " " + name;
    }
}
