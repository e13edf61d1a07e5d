package galecrest.server.decision;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something to decide.
 *
 * @param asked who is asked
 * @param due by when it must be decided; null where nothing waits for it
 */
record CarDecisionRequest(
        @NotBlank(message = "What is to be decided?") String question,
        String asked,
        @Nullable Instant due,

        @Size(max = 8, message = "At most {max} can be chosen from.")
        List<Option> options) {
    /** @param effect what it does to the dates, in words */
    record Option(
            @NotBlank(message = "What could be chosen?") String name,
            @Nullable BigDecimal price,
            String effect) {}
}
