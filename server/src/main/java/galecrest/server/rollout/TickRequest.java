package galecrest.server.rollout;

/**
 * Ticks a check, or takes the tick away.
 *
 * @param after whether it is one of those after the step
 */
record TickRequest(String check, boolean after, boolean ticked) {}
