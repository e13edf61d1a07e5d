package galecrest.server.demo;

/** Which morning it is. */
record MorningResponse(String now) {}
