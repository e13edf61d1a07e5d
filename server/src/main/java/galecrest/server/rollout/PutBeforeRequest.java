package galecrest.server.rollout;

import org.jspecify.annotations.Nullable;

/** Puts a finding before another step; null for after all of them. */
record PutBeforeRequest(@Nullable String before) {}
