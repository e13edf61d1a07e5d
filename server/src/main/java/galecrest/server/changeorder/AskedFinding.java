package galecrest.server.changeorder;

import galecrest.core.build.Gate;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A finding that waits for a customer's yes.
 *
 * @param title what the customer was asked last, in words meant for them; null where nobody has asked
 * @param at when that was asked or answered
 */
record AskedFinding(
        String workId,
        String buildId,
        String name,
        int minutes,
        int hands,
        @Nullable String skill,
        Gate gate,
        @Nullable String title,
        @Nullable Decision state,
        @Nullable Instant at,
        @Nullable String decidedNote) {}
