package galecrest.server.work;

import galecrest.core.build.Gate;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Work that another firm does; {@code after} counts only when it is added. */
public record OutworkRequest(
        String buildId,
        @Nullable String stage,
        String name,
        String vendorId,
        boolean wholeCar,
        int outMinutes,
        @Nullable Instant slotFrom,
        @Nullable Instant slotTo,
        int lowDays,
        int likelyDays,
        int highDays,
        int backMinutes,
        int inspectionMinutes,
        Gate gate,
        boolean essential,
        @Nullable Instant notBefore,
        List<String> after,
        int version) {}
