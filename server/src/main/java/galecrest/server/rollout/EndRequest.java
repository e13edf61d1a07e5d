package galecrest.server.rollout;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * Ends a try.
 *
 * @param done whether it went as it should; else it was stopped
 * @param seen what was seen; needed where it was stopped
 * @param km how far the car went
 * @param leaked what leaked; makes a finding
 * @param warm whether the engine was warm through
 */
record EndRequest(
        boolean done,

        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String seen,

        @DecimalMin(value = "0", message = "0 to 2000 km.") @DecimalMax(value = "2000", message = "0 to 2000 km.")
        double km,

        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String leaked,

        @Nullable String oilPressure,
        @Nullable String water,
        @Nullable String oil,
        boolean warm) {
    private static final int LONGEST = 1_000;
}
