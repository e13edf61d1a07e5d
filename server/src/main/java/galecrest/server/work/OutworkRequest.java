package galecrest.server.work;

import galecrest.core.build.Gate;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Work that another firm does; {@code after} counts only when it is added. */
public record OutworkRequest(
        String buildId,
        @Nullable String stage,
        @NotBlank(message = "Outside work needs a name.") String name,
        String vendorId,
        boolean wholeCar,

        @Min(value = 0, message = WAY) @Max(value = 20_000, message = WAY)
        int outMinutes,

        @Nullable Instant slotFrom,
        @Nullable Instant slotTo,
        int lowDays,
        int likelyDays,

        @Max(value = 250, message = "A turnaround of more than 250 working days cannot be planned.")
        int highDays,

        @Min(value = 0, message = WAY) @Max(value = 20_000, message = WAY)
        int backMinutes,

        @Min(value = 0, message = INSPECTION) @Max(value = 10_000, message = INSPECTION)
        int inspectionMinutes,

        Gate gate,
        boolean essential,
        @Nullable Instant notBefore,
        List<String> after,
        int version) {
    private static final String WAY = "The way takes between 0 and 20 000 min.";
    private static final String INSPECTION = "The inspection takes 0 to 10 000 min.";
}
