package galecrest.core.build;

import java.util.Map;

/**
 * One car's programme of work.
 *
 * @param weight priority against other builds, more than 0
 * @param zoneLimits how many people fit in a zone; {@link #DEFAULT_ZONE_LIMIT} where none is given
 */
public record Build(BuildId id, String number, String name, double weight, Map<Zone, Integer> zoneLimits) {
    /** Two people fit in most zones of most cars (common practice). */
    public static final int DEFAULT_ZONE_LIMIT = 2;

    public Build {
        zoneLimits = Map.copyOf(zoneLimits);
        if (!(weight > 0 && weight < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("The weight of " + name + " must be more than 0, not " + weight + ".");
        }
    }

    public int zoneLimit(Zone zone) {
        return zoneLimits.getOrDefault(zone, DEFAULT_ZONE_LIMIT);
    }

    /** How people call the car: its number and name, or the name alone. */
    public String called() {
        return number.isBlank() ? name : number + " " + name;
    }
}
