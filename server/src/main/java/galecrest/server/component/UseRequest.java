package galecrest.server.component;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A use of a car that nothing else counts.
 *
 * @param key of the request: sent twice, it is counted once
 * @param at when it ended; now where nothing is said
 * @param warm whether the engine was warm through
 */
record UseRequest(
        @NotBlank(message = "The request needs a key of its own.")
        String key,

        @NotBlank(message = "What was it?") @Size(max = 200, message = "At most {max} letters.")
        String what,

        @DecimalMin(value = "0", message = "0 or more.") @DecimalMax(value = MOST, message = "0 or more.")
        double hours,

        @DecimalMin(value = "0", message = "0 or more.") @DecimalMax(value = MOST, message = "0 or more.")
        double km,

        @DecimalMin(value = "0", message = "0 or more.") @DecimalMax(value = MOST, message = "0 or more.")
        double events,

        @DecimalMin(value = "0", message = "0 or more.") @DecimalMax(value = MOST, message = "0 or more.")
        double fires,

        @DecimalMin(value = "0", message = "0 or more.") @DecimalMax(value = MOST, message = "0 or more.")
        double impacts,

        boolean warm,
        @Nullable Instant at) {
    private static final String MOST = "1000000";
}
