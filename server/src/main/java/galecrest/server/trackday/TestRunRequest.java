package galecrest.server.trackday;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A run as it is planned, and as it was driven.
 *
 * @param buildId of a new one
 * @param changes what is changed for it; none at a baseline
 * @param value what it is worth to know, 1 to 3
 * @param dry whether it tells nothing in the wet
 * @param setId the set of tyres; null where nobody says
 * @param cold pressures when it left, as written
 * @param hot pressures when it came in
 * @param laps lap times as written, such as 1:42.35 1:42.10
 * @param ran whether it was driven
 * @param version of the one that it changes; 0 for a new one
 */
record TestRunRequest(
        @Nullable String buildId,
        @Nullable List<String> changes,
        int value,
        boolean dry,
        @Nullable String setId,
        @Nullable String cold,
        @Nullable String hot,
        @Nullable String fuel,
        @Nullable String driver,
        @Nullable Conditions conditions,
        @Nullable String air,
        @Nullable String track,
        @Nullable String laps,
        @Nullable String words,
        boolean ran,
        int version) {
    /** How the track was. */
    enum Conditions {
        DRY,
        DAMP,
        WET
    }
}
