package galecrest.server.wall;

/** Where the wall can be seen, from the root of the server; it is said once. */
record MadeWallLinkResponse(String path) {}
