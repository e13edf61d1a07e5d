package galecrest.server.event;

import galecrest.core.tyre.TyreSet;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A set of tyres as somebody enters it; {@code version} 0 for a new one. */
record TyreSetRequest(
        String buildId,

        @NotBlank(message = "What is it called?") @Size(max = 40, message = "At most {max} letters.")
        String name,

        @NotNull(message = "For dry or wet?") TyreSet.Kind kind,

        @NotNull(message = "Is it new, scuffed or used?") TyreSet.State state,

        @Min(value = 0, message = "0 to 200.") @Max(value = 200, message = "0 to 200.")
        int cycles,

        @Nullable LocalDate madeOn,
        int version) {}
