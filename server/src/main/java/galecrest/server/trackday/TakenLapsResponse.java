package galecrest.server.trackday;

/** How many runs got laps. */
record TakenLapsResponse(int runs) {}
