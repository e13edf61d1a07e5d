package galecrest.server.progress;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A finished job.
 *
 * @param likelyMinutes what was thought, all hands together
 * @param workedMinutes what it took, all hands together; null where no hours are written down
 * @param people who was on it
 * @param round the how manieth time it was done
 */
record FinishedResponse(
        String id,
        String name,
        Instant doneAt,
        boolean doneBefore,
        int likelyMinutes,
        @Nullable Integer workedMinutes,
        @Nullable String people,
        int round) {}
