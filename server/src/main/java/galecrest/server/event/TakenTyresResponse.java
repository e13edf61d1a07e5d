package galecrest.server.event;

/** How many sets were added. */
record TakenTyresResponse(int added) {}
