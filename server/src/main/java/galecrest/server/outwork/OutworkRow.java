package galecrest.server.outwork;

import galecrest.core.build.Gate;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

record OutworkRow(
        String id,
        String buildId,
        String name,
        String status,
        Gate gate,
        String vendorId,
        String trade,
        String specification,
        String driver,
        boolean trailer,
        @Nullable BigDecimal price,
        @Nullable Instant promisedBack) {}
