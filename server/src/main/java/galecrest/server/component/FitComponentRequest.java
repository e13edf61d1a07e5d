package galecrest.server.component;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Puts a component on a car.
 *
 * @param at when that was; now where nothing is said
 */
record FitComponentRequest(
        String buildId, @Nullable String place, @Nullable Instant at) {}
