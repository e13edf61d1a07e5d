package galecrest.server.event;

import java.util.List;

/**
 * Which set serves which session of a car.
 *
 * @param scuff new sets that are to be run gently before a race
 * @param kept wet sets, kept back
 * @param why why there is no plan; empty where there is one
 */
record TyrePlanResponse(
        String buildId, List<ServedResponse> served, List<String> scuff, List<String> kept, List<String> why) {
    /** A session with its set, and why that one. */
    record ServedResponse(String sessionId, String setId, int use, boolean locked, String because) {}
}
