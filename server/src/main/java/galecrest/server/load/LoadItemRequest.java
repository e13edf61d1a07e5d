package galecrest.server.load;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/** A thing to take along; {@code kilograms} is of all of them together. */
record LoadItemRequest(
        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String box,

        @NotBlank(message = "What is it?") @Size(max = LONGEST, message = "At most {max} letters.")
        String name,

        @Min(value = 1, message = "1 or more.") @Max(value = 10_000, message = "At most 10 000.")
        int quantity,

        @DecimalMin(value = "0", message = "0 kg or more.")
        @DecimalMax(value = "100000", message = "At most 100 000 kg.")
        double kilograms) {
    private static final int LONGEST = 80;
}
