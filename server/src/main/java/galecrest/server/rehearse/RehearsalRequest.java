package galecrest.server.rehearse;

import galecrest.core.rehearse.Luck;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import org.jspecify.annotations.Nullable;

/**
 * A week to rehearse.
 *
 * @param days how many working days
 * @param seed the luck; null for any
 */
record RehearsalRequest(
        @Min(value = 1, message = "A rehearsal goes over 1 to 10 days.")
        @Max(value = 10, message = "A rehearsal goes over 1 to 10 days.")
        int days,

        Luck.Weather weather,
        @Nullable Long seed) {}
