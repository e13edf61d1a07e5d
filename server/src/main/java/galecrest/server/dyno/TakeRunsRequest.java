package galecrest.server.dyno;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Files of a road to be taken as runs of a car, in the order in which they were driven.
 *
 * @param files that were read
 * @param dyno the road; what its columns hold is remembered for the next time
 */
public record TakeRunsRequest(
        List<String> files, @Nullable String dyno, List<ColumnForm> columns, RunConditionsRequest conditions) {}
