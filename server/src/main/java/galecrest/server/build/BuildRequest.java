package galecrest.server.build;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

public record BuildRequest(
        @Size(max = 6, message = "A number has at most 6 characters.")
        String number,

        @NotBlank(message = NAME) @Size(max = 80, message = NAME)
        String name,

        Body body,
        String customer,
        String discipline,

        @DecimalMin(value = "0", inclusive = false, message = WEIGHT) @DecimalMax(value = "100", message = WEIGHT)
        double weight,

        @Min(value = 1, message = LIMIT) @Max(value = 9, message = LIMIT)
        int limitFront,

        @Min(value = 1, message = LIMIT) @Max(value = 9, message = LIMIT)
        int limitEngineBay,

        @Min(value = 1, message = LIMIT) @Max(value = 9, message = LIMIT)
        int limitCockpit,

        @Min(value = 1, message = LIMIT) @Max(value = 9, message = LIMIT)
        int limitUnderside,

        @Min(value = 1, message = LIMIT) @Max(value = 9, message = LIMIT)
        int limitRear,

        int version) {
    private static final String NAME = "A build needs a name of 1 to 80 characters.";
    private static final String WEIGHT = "The weight is more than 0 and at most 100.";
    private static final String LIMIT = "Between 1 and 9 people fit in a zone.";
}
