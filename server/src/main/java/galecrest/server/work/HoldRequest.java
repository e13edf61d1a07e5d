package galecrest.server.work;

import galecrest.core.work.ReasonTag;
import jakarta.validation.constraints.NotBlank;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

public record HoldRequest(
        ReasonTag reason,

        @NotBlank(message = "Say in a word or two what holds it.")
        String note,

        @Nullable Instant until) {}
