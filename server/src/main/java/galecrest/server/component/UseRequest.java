package galecrest.server.component;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A use of a car that nothing else counts.
 *
 * @param key of the request: sent twice, it is counted once
 * @param at when it ended; now where nothing is said
 * @param warm whether the engine was warm through
 */
record UseRequest(
        String key,
        @Nullable String what,
        double hours,
        double km,
        double events,
        double fires,
        double impacts,
        boolean warm,
        @Nullable Instant at) {}
