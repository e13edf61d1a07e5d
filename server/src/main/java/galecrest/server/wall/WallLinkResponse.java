package galecrest.server.wall;

import java.time.Instant;

/** A link to the wall that is open. */
record WallLinkResponse(String id, Instant madeAt, String madeBy) {}
