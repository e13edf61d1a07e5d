package galecrest.server.parts;

import galecrest.core.parts.PartState;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A part line; without arrival dates the house rule's time is assumed. */
record PartRequest(
        String buildId,
        String name,
        PartState state,
        @Nullable String vendorId,
        @Nullable BigDecimal price,
        @Nullable Instant arrivalLow,
        @Nullable Instant arrivalLikely,
        @Nullable Instant arrivalHigh,
        int inspectionMinutes,
        @Nullable String pairedWith,
        @Nullable String pairOverride,
        List<String> neededBy,
        int quantity,
        boolean own,
        String specification,
        String kit,
        String tracking,
        int version) {}
