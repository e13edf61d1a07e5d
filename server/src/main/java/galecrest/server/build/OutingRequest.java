package galecrest.server.build;

import java.time.Instant;
import java.util.List;

/**
 * What a date takes away from the shop from when it is due.
 *
 * @param back when all are back
 * @param crew people who go along, by their ids
 * @param takes stations that go along, by their ids
 */
public record OutingRequest(Instant back, List<String> crew, List<String> takes) {}
