package galecrest.server.work;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Which pin: exactly one of the last four fields, as the kind says. */
record PinRequest(
        String workId,
        PinKind kind,
        @Nullable String personId,
        @Nullable String stationId,
        @Nullable String firstId,
        @Nullable Instant at) {}
