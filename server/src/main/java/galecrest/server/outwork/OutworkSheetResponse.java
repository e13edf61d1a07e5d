package galecrest.server.outwork;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

record OutworkSheetResponse(
        String id,
        String buildId,
        String name,
        String vendorId,
        String status,
        String specification,
        String driver,
        boolean trailer,
        @Nullable BigDecimal price,
        @Nullable Instant promisedBack,
        List<CheckView> send,
        List<CheckView> back) {}
