package galecrest.server.rollout;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * A start of the engine outside of the steps.
 *
 * @param key of the request: sent twice, it is logged once
 */
record FireRequest(
        @NotBlank(message = "The request needs a key of its own.")
        String key,

        @Min(value = 1, message = "How long did it run? 1 s to 24 h.")
        @Max(value = LONGEST_SECONDS, message = "How long did it run? 1 s to 24 h.")
        int seconds,

        @Nullable String oilPressure,
        @Nullable String water,
        @Nullable String oil,

        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String stoppedBecause,

        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String leaked,

        boolean warm) {
    private static final int LONGEST = 1_000;
    /** 24 h. */
    static final int LONGEST_SECONDS = 24 * 3_600;
}
