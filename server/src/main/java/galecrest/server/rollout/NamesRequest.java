package galecrest.server.rollout;

import org.jspecify.annotations.Nullable;

/** Who drives and who looks; null leaves a name as it is, blank takes it away. */
record NamesRequest(@Nullable String driver, @Nullable String looker) {}
