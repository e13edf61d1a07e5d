package galecrest.server.people;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import java.math.BigDecimal;
import java.util.List;

record PersonRequest(
        @NotBlank(message = "A person needs a name.") String name,
        List<SkillRequest> skills,
        List<HoursRequest> shifts,

        @DecimalMin(value = "0", message = COST) @DecimalMax(value = "10000", message = COST)
        BigDecimal costPerHour,

        int version) {
    private static final String COST = "The cost per hour is between 0 and 10 000.";
}
