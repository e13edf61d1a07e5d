package galecrest.server.progress;

import org.jspecify.annotations.Nullable;

/** A job is done once more: why, and how long it takes this time; null for as long as was thought. */
record ReworkRequest(String why, @Nullable Integer minutes) {}
