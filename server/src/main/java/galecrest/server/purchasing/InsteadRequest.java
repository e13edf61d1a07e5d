package galecrest.server.purchasing;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/** Another part in place of this one. */
record InsteadRequest(
        @NotBlank(message = NAME) @Size(max = 200, message = NAME)
        String name,

        @Nullable String vendorId,
        @Nullable BigDecimal price,

        @NotBlank(message = "Why another one? A word for the record.")
        String reason) {
    private static final String NAME = "Which part instead? In up to 200 characters.";
}
