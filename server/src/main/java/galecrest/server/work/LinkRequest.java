package galecrest.server.work;

import galecrest.core.work.Link;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

public record LinkRequest(
        String firstId,
        String thenId,
        Link.Type type,

        @Min(value = 0, message = LAG) @Max(value = 60 * 24 * 60, message = LAG)
        int lagMinutes,

        boolean lagWorking,

        @DecimalMin(value = "0", message = CHANCE) @DecimalMax(value = "1", message = CHANCE) @Nullable
        Double riskChance,

        @Nullable Integer riskReworkMinutes,

        @Size(max = 200, message = "A reason has at most 200 characters.") @Nullable
        String because) {
    private static final String LAG = "A lag is between 0 and 60 days.";
    private static final String CHANCE = "A chance is between 0 and 1.";
}
