package galecrest.server.purchasing;

import jakarta.validation.constraints.NotBlank;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What was said, the next word promised, and the new dates where there are some. */
record WordRequest(
        @NotBlank(message = "What did they say?") String said,
        @Nullable Instant nextAt,
        @Nullable Instant low,
        @Nullable Instant likely,
        @Nullable Instant high) {}
