package galecrest.server.purchasing;

import jakarta.validation.constraints.NotEmpty;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Several lines of one vendor with what was promised for all of them. */
record BasketRequest(
        @NotEmpty(message = "Tick what is to be ordered.") List<BasketLine> lines,
        @Nullable Instant low,
        @Nullable Instant likely,
        @Nullable Instant high) {}
