package galecrest.server.stale;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a piece of work is said to disturb.
 *
 * @param disturbances none where it disturbs nothing; null where its words are to count again
 */
record CarriedRequest(@Nullable List<String> disturbances) {}
