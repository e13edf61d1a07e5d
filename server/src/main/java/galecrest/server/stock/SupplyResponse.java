package galecrest.server.stock;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

public record SupplyResponse(
        String id,
        String name,
        String quantity,
        String boughtFrom,
        @Nullable String buildId,
        String askedBy,
        Instant askedAt,
        @Nullable Instant boughtAt,
        @Nullable String boughtBy) {}
