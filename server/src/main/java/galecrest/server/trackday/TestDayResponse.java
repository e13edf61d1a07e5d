package galecrest.server.trackday;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The test day of a car at an event.
 *
 * @param runs in the order in which they are to be driven
 * @param remarks what is wrong with the plan of it
 * @param findings what was found, the first first
 */
record TestDayResponse(
        String buildId, List<TestRunResponse> runs, List<String> remarks, List<TestFindingResponse> findings) {
    /** A run; see {@link TestRunRequest}. */
    record TestRunResponse(
            String id,
            List<String> changes,
            int value,
            boolean dry,
            @Nullable String setId,
            @Nullable String set,
            String cold,
            String hot,
            String fuel,
            String driver,
            TestRunRequest.Conditions conditions,
            String air,
            String track,
            String laps,
            String words,
            @Nullable Instant ranAt,
            int version) {}

    /** A finding; {@code workId} is the job that it became. */
    record TestFindingResponse(
            String id,
            String what,
            TestFindingRequest.Decision decision,
            @Nullable String workId,
            String by,
            Instant at) {}
}
