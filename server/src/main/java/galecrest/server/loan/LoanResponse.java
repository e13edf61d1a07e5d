package galecrest.server.loan;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Something borrowed and not given back. */
record LoanResponse(
        String id,
        String what,
        @Nullable String fromBuildId,
        String toBuildId,
        @Nullable String partId,
        Instant at,
        String byName) {}
