package galecrest.server.gate;

import galecrest.core.build.Gate;
import galecrest.core.gate.GateLine;
import galecrest.core.gauge.Measured;
import org.jspecify.annotations.Nullable;

/**
 * A line that a gate is to ask.
 *
 * @param key of a line that was there before; null for a new one
 * @param restsOn what must be measured, or makes a signature void once it is disturbed
 */
record GateLineRequest(
        @Nullable String key,
        Gate gate,
        String text,
        GateLine.Asks asks,
        @Nullable Measured restsOn,
        boolean never) {}
