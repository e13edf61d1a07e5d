package galecrest.server.rollout;

import org.jspecify.annotations.Nullable;

/**
 * A channel that a step is watched for, as it is now.
 *
 * @param limit in words: "at least 1.0 bar"
 * @param share where the value stands between nothing and the limit, 1 at the limit; null where it is not known
 * @param beyond what is wrong, in words; null while it is within
 */
record LiveResponse(
        String channel,
        String said,
        String limit,
        boolean least,
        @Nullable Double share,
        boolean silent,
        @Nullable String beyond) {}
