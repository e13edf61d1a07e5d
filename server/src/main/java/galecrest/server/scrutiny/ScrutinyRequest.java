package galecrest.server.scrutiny;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An inspection.
 *
 * @param at when it is, or was; now where nobody says
 * @param againAt when what failed is looked at again
 */
record ScrutinyRequest(
        @Nullable String inspector,
        @Nullable Instant at,
        @Nullable Instant againAt) {}
