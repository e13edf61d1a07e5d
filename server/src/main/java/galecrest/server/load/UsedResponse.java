package galecrest.server.load;

/** How many things were put on the supply run. */
record UsedResponse(int listed) {}
