package galecrest.server.trace;

import java.util.List;

/**
 * A trace as the gauge {@code heat-soak} takes it.
 *
 * @param column which one was taken
 * @param samples how many the file has; of many the means of neighbours are given
 */
record TraceTableResponse(String column, int samples, List<String> times, List<String> temperatures) {}
