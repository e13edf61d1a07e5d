package galecrest.server.trackday;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Puts the runs of a car in order.
 *
 * @param order their ids in the order that somebody wants; null for the usual one
 * @param rain whether rain is expected; asked for the usual one
 */
record TestOrderRequest(String buildId, @Nullable List<String> order, boolean rain) {}
