package galecrest.server.rollout;

import galecrest.core.build.Zone;
import org.jspecify.annotations.Nullable;

/**
 * What was found on the way.
 *
 * @param before the key of the step before which it must be put right; null for after all of them
 * @param minutes the work that it likely is
 */
record FindingRequest(
        @Nullable String what,
        @Nullable Zone zone,
        int minutes,
        @Nullable String before) {}
