package galecrest.server.stock;

import org.jspecify.annotations.Nullable;

record SupplyRequest(
        String name,
        String quantity,
        String boughtFrom,
        @Nullable String buildId) {}
