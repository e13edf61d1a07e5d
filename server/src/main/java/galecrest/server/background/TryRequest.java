package galecrest.server.background;

/** Which of the tried moves of a rescue to try. */
record TryRequest(int index) {}
