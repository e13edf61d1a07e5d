package galecrest.server.history;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A build that is put away.
 *
 * @param jobs how much work was done on it
 * @param minutes hours of people, by the clock, in minutes
 */
record PutAwayResponse(
        String id,
        String number,
        String name,
        String customer,
        String discipline,
        Instant putAwayAt,
        @Nullable Instant finishedAt,
        int jobs,
        long minutes) {}
