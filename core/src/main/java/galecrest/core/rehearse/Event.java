package galecrest.core.rehearse;

import java.time.Instant;

/**
 * Something that happens in a rehearsal.
 *
 * @param bad whether it is worse than was thought
 */
public record Event(Instant at, String said, boolean bad) {}
