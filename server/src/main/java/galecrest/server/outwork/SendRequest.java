package galecrest.server.outwork;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** It leaves; {@code anyway} sends it with an unfinished checklist. */
record SendRequest(
        boolean anyway,
        @Nullable Instant backLow,
        @Nullable Instant backLikely,
        @Nullable Instant backHigh) {}
