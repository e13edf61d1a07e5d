package galecrest.server.trackday;

import org.jspecify.annotations.Nullable;

/**
 * What was found at a test, or what becomes of it.
 *
 * @param what of a new one
 * @param decision of one that is there
 * @param minutes what putting it right takes; an hour where nobody says
 */
record TestFindingRequest(
        @Nullable String buildId,
        @Nullable String what,
        @Nullable Decision decision,
        int minutes) {
    /** When it is put right. */
    enum Decision {
        OPEN,
        BEFORE,
        AFTER,
        NEVER
    }
}
