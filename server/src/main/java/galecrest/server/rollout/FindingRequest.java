package galecrest.server.rollout;

import galecrest.core.build.Zone;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * What was found on the way.
 *
 * @param before the key of the step before which it must be put right; null for after all of them
 * @param minutes the work that it likely is
 */
record FindingRequest(
        @NotBlank(message = "Say what was found.") @Size(max = 100, message = "At most {max} letters.")
        String what,

        @Nullable Zone zone,

        @Min(value = 5, message = "5 to 10000 min.") @Max(value = 10_000, message = "5 to 10000 min.")
        int minutes,

        @Nullable String before) {}
