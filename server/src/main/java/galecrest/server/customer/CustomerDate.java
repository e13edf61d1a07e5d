package galecrest.server.customer;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A date with what can honestly be said of it. */
record CustomerDate(
        String name,
        Instant due,
        @Nullable Instant planned,
        @Nullable Instant likelyBy,
        @Nullable Instant almostSurelyBy) {}
