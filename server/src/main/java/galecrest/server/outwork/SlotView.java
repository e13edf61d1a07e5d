package galecrest.server.outwork;

import galecrest.server.plan.DateEffect;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A time that the vendor offers.
 *
 * @param leaveBy when it must leave for it
 * @param missed whether it misses that time by the plan
 * @param effect what booking it does to the dates
 */
record SlotView(
        String id,
        Instant from,
        Instant to,
        Instant leaveBy,
        @Nullable Boolean missed,
        @Nullable List<DateEffect> effect) {}
