package galecrest.server.rollout;

import org.jspecify.annotations.Nullable;

/**
 * A start of the engine outside of the steps.
 *
 * @param key of the request: sent twice, it is logged once
 */
record FireRequest(
        String key,
        int seconds,
        @Nullable String oilPressure,
        @Nullable String water,
        @Nullable String oil,
        @Nullable String stoppedBecause,
        @Nullable String leaked,
        boolean warm) {}
