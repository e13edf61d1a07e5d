package galecrest.server.changeorder;

import galecrest.core.build.Gate;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A finding that waits for a customer's yes, as the Desk shows it.
 *
 * @param hours of all its hands
 * @param price of its work, net
 * @param state null until it is put to the customer
 */
record AskedFindingResponse(
        String workId,
        String buildId,
        String name,
        BigDecimal hours,
        String skill,
        Gate gate,
        BigDecimal price,
        @Nullable String title,
        @Nullable Decision state,
        @Nullable Instant at,
        @Nullable String decidedNote) {}
