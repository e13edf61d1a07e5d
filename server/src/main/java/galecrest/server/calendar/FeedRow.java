package galecrest.server.calendar;

import java.time.Instant;

/** A feed by its private link. */
record FeedRow(String token, FeedKind kind, String subject, Instant madeAt) {}
