package galecrest.server.trackday;

import java.util.List;

/** Runs with their laps, as the gauge {@code laps} takes them. */
record LapTableResponse(List<LapRunResponse> runs) {
    /** A run; what is not said is blank. */
    record LapRunResponse(String run, String laps, String set, String changed, String conditions, String track) {}
}
