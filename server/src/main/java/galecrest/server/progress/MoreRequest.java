package galecrest.server.progress;

/** A job needs so many minutes more from now on. */
record MoreRequest(int minutes) {}
