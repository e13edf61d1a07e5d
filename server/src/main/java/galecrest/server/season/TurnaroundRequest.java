package galecrest.server.season;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A turnaround to be laid.
 *
 * @param lines which of its lines, by their keys
 */
record TurnaroundRequest(@Nullable String buildId, @Nullable List<String> lines) {}
