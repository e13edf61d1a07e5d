package galecrest.server.component;

/** How many components of a table were new. */
record TakenComponentsResponse(int added) {}
