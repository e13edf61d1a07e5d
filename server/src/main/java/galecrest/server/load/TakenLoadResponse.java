package galecrest.server.load;

/** How many things of a list were new. */
record TakenLoadResponse(int added) {}
