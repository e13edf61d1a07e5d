package galecrest.server.carsheet;

/** How many sheets of a table were new. */
record TakenInResponse(int taken) {}
