package galecrest.server.call;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A call, promised or past. */
record CallResponse(
        String id,
        @Nullable String buildId,
        String who,
        String about,
        Instant due,
        @Nullable Instant doneAt,
        String said,
        String byName) {}
