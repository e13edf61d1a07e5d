package galecrest.server.outwork.sheet;

import galecrest.core.build.Gate;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A line of the table of a build's outside work. */
public record LineRow(
        String name,
        String vendor,
        boolean wholeCar,
        Gate gate,
        @Nullable Instant slotFrom,
        @Nullable Instant slotTo,
        int lowDays,
        int likelyDays,
        int highDays,
        int outMinutes,
        int backMinutes,
        int inspectionMinutes,
        @Nullable BigDecimal price,
        String driver,
        boolean trailer,
        String specification) {}
