package galecrest.server.scrutiny;

import org.jspecify.annotations.Nullable;

/**
 * A line of an inspection, or what the inspector said of it.
 *
 * @param text of a new one
 */
record ScrutinyLineRequest(
        @Nullable String text,
        @Nullable Result result,
        @Nullable String note) {
    /** What the inspector said. */
    enum Result {
        OPEN,
        PASS,
        FAIL
    }
}
