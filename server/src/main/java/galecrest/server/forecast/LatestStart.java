package galecrest.server.forecast;

import java.time.Instant;

/** When a work must start at the latest without harm to a date. */
public record LatestStart(String workId, Instant at) {}
