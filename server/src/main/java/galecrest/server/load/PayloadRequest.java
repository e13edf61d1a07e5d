package galecrest.server.load;

/** What the trailer takes, kg. */
record PayloadRequest(double kilograms) {}
