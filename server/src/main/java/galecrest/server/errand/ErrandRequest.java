package galecrest.server.errand;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A way to somewhere and back.
 *
 * @param forBuildId the car that it is for
 * @param partId the part that it brings, which is here once it is done
 * @param personId who goes; null for whoever can
 * @param vehicleId a station that drives; null where none is needed
 * @param from not before then
 * @param by back by then
 */
record ErrandRequest(
        @NotBlank(message = WHAT) @Size(max = 100, message = WHAT)
        String what,

        @Size(max = 100, message = "Up to 100 characters.") String place,
        @Nullable String forBuildId,
        @Nullable String partId,
        @Nullable String personId,
        @Nullable String vehicleId,

        @Min(value = 5, message = MINUTES) @Max(value = 1440, message = MINUTES)
        int minutes,

        @Nullable Instant from,
        Instant by) {
    private static final String WHAT = "What is it, in up to 100 characters?";
    private static final String MINUTES = "There and back in 5 min to 24 h.";
}
