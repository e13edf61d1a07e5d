package galecrest.server.dyno;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Runs to be compared.
 *
 * @param before ids of runs before the change
 * @param after ids of those after it
 * @param from engine speed, rpm
 * @param to the end of the range, rpm
 * @param standard of correction, as the gauge {@code air-correction} calls it
 * @param confidence as people write it, 95 % where nobody says
 * @param comparisons how many ranges or changes are looked at together; 1 where nobody says
 * @param worth the smallest change that matters, as people write it
 */
record CompareRequest(
        List<String> before,
        List<String> after,
        int from,
        int to,
        @Nullable String standard,
        @Nullable String confidence,

        @Min(value = 1, message = "1 to 1000.") @Max(value = 1_000, message = "1 to 1000.") @Nullable
        Integer comparisons,

        @Nullable String worth) {}
