package galecrest.server.changeorder;

import galecrest.core.build.Gate;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A change that the customer might want: hours of a skill before a gate, parts from a day on, outside work.
 *
 * @param workId the finding that is asked about; null where the yes brings new work
 */
record ChangeOrderRequest(
        @NotBlank(message = TITLE) @Size(max = 100, message = TITLE)
        String title,

        String note,
        BigDecimal hours,
        @NotBlank(message = "Who does it: which skill?") String skill,
        Gate gate,
        BigDecimal parts,
        @Nullable Instant partsAt,
        BigDecimal outwork,
        @Nullable String workId) {
    private static final String TITLE = "What is changed, in up to 100 characters.";
}
