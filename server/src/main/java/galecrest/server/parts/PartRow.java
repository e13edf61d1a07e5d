package galecrest.server.parts;

import galecrest.core.parts.PartState;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A part line as the desk sees it. */
public record PartRow(
        String id,
        String buildId,
        String name,
        PartState state,
        int quantity,
        int received,
        boolean own,
        @Nullable String vendorId,
        @Nullable BigDecimal price,
        @Nullable Instant likely,
        @Nullable Instant promisedAt,
        @Nullable Instant orderedAt,
        @Nullable String overrideReason,
        String specification,
        String kit,
        String insteadOf) {}
