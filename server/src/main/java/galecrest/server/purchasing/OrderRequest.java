package galecrest.server.purchasing;

import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** An order with what was promised; {@code overrideReason} lets one go out whose sides are unknown or do not fit. */
record OrderRequest(
        @Nullable Instant low,
        @Nullable Instant likely,
        @Nullable Instant high,
        @Nullable BigDecimal price,
        @Nullable String overrideReason) {}
