package galecrest.server.restriction;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * A restriction, the job that lifts it, or both.
 *
 * @param text what the car may not do: "not above 6300 rpm"; blank where only a job is made of it
 * @param because what was found: "injector duty 91 % in run 6"
 * @param job what would lift it: "larger injectors"; blank where nobody knows yet
 * @param minutes how long that takes
 */
record RestrictionRequest(
        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String text,

        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String because,

        @Size(max = LONGEST_JOB, message = "At most {max} letters.") @Nullable
        String job,

        @Min(value = 5, message = "5 to 10000 min.") @Max(value = 10_000, message = "5 to 10000 min.") @Nullable
        Integer minutes) {
    private static final int LONGEST = 160;
    private static final int LONGEST_JOB = 100;
}
