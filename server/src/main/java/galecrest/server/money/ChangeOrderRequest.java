package galecrest.server.money;

import galecrest.core.build.Gate;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A change that the customer might want: hours of a skill before a gate, parts from a day on, outside work. */
record ChangeOrderRequest(
        String title,
        String note,
        BigDecimal hours,
        String skill,
        Gate gate,
        BigDecimal parts,
        @Nullable Instant partsAt,
        BigDecimal outwork) {}
