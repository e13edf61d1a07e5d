package galecrest.server.capture;

import org.jspecify.annotations.Nullable;

/** What became of a captured line, in words, and the work it concerns. */
record CapturedResponse(String said, @Nullable String workId) {}
