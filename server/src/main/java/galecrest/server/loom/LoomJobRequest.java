package galecrest.server.loom;

import org.jspecify.annotations.Nullable;

/** The job that waits until every module is decided; null for none. */
record LoomJobRequest(@Nullable String workId) {}
