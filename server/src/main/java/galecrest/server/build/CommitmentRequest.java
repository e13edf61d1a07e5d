package galecrest.server.build;

import galecrest.core.build.Gate;
import galecrest.core.work.Commitment;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

public record CommitmentRequest(
        String buildId,

        @NotBlank(message = "A date needs a name, such as the event.")
        String name,

        Commitment.Kind kind,
        Instant due,
        Gate gate,

        @DecimalMin(value = "0", inclusive = false, message = WEIGHT) @DecimalMax(value = "100", message = WEIGHT)
        double weight,

        int version,
        @Nullable OutingRequest outing) {
    private static final String WEIGHT = "The weight is more than 0 and at most 100.";
}
