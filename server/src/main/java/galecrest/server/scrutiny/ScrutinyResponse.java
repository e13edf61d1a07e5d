package galecrest.server.scrutiny;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An inspection of a car.
 *
 * @param entry what was entered in the car's log book when it was signed; empty until then
 */
record ScrutinyResponse(
        String id,
        String inspector,
        Instant at,
        @Nullable Instant againAt,
        String entry,
        @Nullable Instant signedAt,
        String signedBy,
        List<ScrutinyLineResponse> lines) {
    /**
     * A line.
     *
     * @param failedBefore whether it failed first
     * @param workId the job that a failure became
     */
    record ScrutinyLineResponse(
            String id,
            String text,
            ScrutinyLineRequest.Result result,
            String note,
            boolean failedBefore,
            @Nullable String workId) {}
}
