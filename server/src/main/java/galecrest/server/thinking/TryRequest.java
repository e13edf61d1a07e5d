package galecrest.server.thinking;

/** Which of the tried moves of a rescue to try. */
record TryRequest(int index) {}
