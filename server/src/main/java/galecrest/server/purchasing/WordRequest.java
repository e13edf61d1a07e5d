package galecrest.server.purchasing;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What was said, the next word promised, and the new dates where there are some. */
record WordRequest(
        String said,
        @Nullable Instant nextAt,
        @Nullable Instant low,
        @Nullable Instant likely,
        @Nullable Instant high) {}
