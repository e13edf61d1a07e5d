package galecrest.server.parts;

import galecrest.core.parts.PartState;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A part line; without arrival dates the house rule's time is assumed. */
record PartRequest(
        String buildId,
        @NotBlank(message = "A part needs a name.") String name,
        PartState state,
        @Nullable String vendorId,
        @Nullable BigDecimal price,
        @Nullable Instant arrivalLow,
        @Nullable Instant arrivalLikely,
        @Nullable Instant arrivalHigh,

        @Min(value = 0, message = INSPECTION) @Max(value = 10_000, message = INSPECTION)
        int inspectionMinutes,

        @Nullable String pairedWith,
        @Nullable String pairOverride,
        List<String> neededBy,

        @Min(value = 1, message = QUANTITY) @Max(value = 10_000, message = QUANTITY)
        int quantity,

        boolean own,
        String specification,
        String kit,
        String tracking,
        int version) {
    private static final String INSPECTION = "The inspection takes 0 to 10 000 min.";
    private static final String QUANTITY = "A line is of 1 to 10 000.";
}
