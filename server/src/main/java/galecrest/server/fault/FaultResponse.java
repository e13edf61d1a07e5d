package galecrest.server.fault;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A fault with all that was checked, in order. */
record FaultResponse(
        String id,
        String symptom,
        Instant notedAt,
        String notedBy,
        @Nullable String cause,
        @Nullable Instant solvedAt,
        List<FaultCheckView> checks) {
    record FaultCheckView(String what, String how, String result, boolean ruledOut, Instant at, String byName) {}
}
