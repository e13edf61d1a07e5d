package galecrest.server.shop;

import galecrest.core.shop.TieBreak;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;

/** The shop's name, time zone and house rules; see {@link galecrest.core.shop.HouseRules}. */
public record ShopRequest(
        @NotBlank(message = "The shop needs a name.") String name,
        String zone,

        @DecimalMin(value = "0", message = WEIGHT) @DecimalMax(value = "1000", message = WEIGHT)
        double atRiskStart,

        @DecimalMin(value = "0", message = WEIGHT) @DecimalMax(value = "1000", message = WEIGHT)
        double toldOtherwise,

        @DecimalMin(value = "0", message = WEIGHT) @DecimalMax(value = "1000", message = WEIGHT)
        double carInBits,

        @DecimalMin(value = "0", message = WEIGHT) @DecimalMax(value = "1000", message = WEIGHT)
        double finishDay,

        @Min(value = 0, message = "Between 0 and 365 days.") @Max(value = 365, message = "Between 0 and 365 days.")
        int unknownArrivalDays,

        @Min(value = 0, message = "Between 0 and 14 days.") @Max(value = 14, message = "Between 0 and 14 days.")
        int frozenDays,

        @Min(value = 0, message = "Between 0 and 400 h.") @Max(value = 400, message = "Between 0 and 400 h.")
        int bufferHours,

        TieBreak tieBreak,

        @DecimalMin(value = "0", message = "A chance is between 0 and 1.")
        @DecimalMax(value = "1", message = "A chance is between 0 and 1.")
        double returnWrong,

        @Min(value = 0, message = "People stay on for 0 to 8 h.")
        @Max(value = 480, message = "People stay on for 0 to 8 h.")
        int stayOnMinutes,

        @Min(value = 0, message = "Between 0 and 1000 h; 0 is never.")
        @Max(value = 1000, message = "Between 0 and 1000 h; 0 is never.")
        int takeGainHours,

        @Min(value = 0, message = "Between 0 and 13 days.") @Max(value = 13, message = "Between 0 and 13 days.")
        int takeAfterDays,

        boolean monthFirst,
        boolean twelveHours,
        int version) {
    private static final String WEIGHT = "A weight is between 0 and 1000.";
}
