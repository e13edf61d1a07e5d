package galecrest.server.errand;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** An errand that is to be done; who goes when, with what, is on the board under its job. */
record ErrandResponse(
        String workId,
        String place,
        @Nullable String forBuildId,
        @Nullable String partId,
        Instant byAt) {}
