package galecrest.server.customer;

/** The path of the new link; it is told this once and kept nowhere. */
record MadeLinkResponse(String id, String path) {}
