package galecrest.server.component;

import java.time.Instant;

/** A use of a car: what it was, how much in words, and who booked it. */
record UseResponse(Instant at, String what, String said, boolean warm, String by) {}
