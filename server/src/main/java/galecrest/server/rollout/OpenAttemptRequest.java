package galecrest.server.rollout;

/** Begins a try at a step. */
record OpenAttemptRequest(String step) {}
