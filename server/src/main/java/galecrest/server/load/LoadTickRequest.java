package galecrest.server.load;

/** Whether a thing is aboard. */
record LoadTickRequest(boolean aboard) {}
