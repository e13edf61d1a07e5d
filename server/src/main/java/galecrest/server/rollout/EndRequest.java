package galecrest.server.rollout;

import org.jspecify.annotations.Nullable;

/**
 * Ends a try.
 *
 * @param done whether it went as it should; else it was stopped
 * @param seen what was seen; needed where it was stopped
 * @param km how far the car went
 * @param leaked what leaked; makes a finding
 * @param warm whether the engine was warm through
 */
record EndRequest(
        boolean done,
        @Nullable String seen,
        double km,
        @Nullable String leaked,
        @Nullable String oilPressure,
        @Nullable String water,
        @Nullable String oil,
        boolean warm) {}
