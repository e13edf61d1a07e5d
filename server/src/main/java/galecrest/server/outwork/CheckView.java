package galecrest.server.outwork;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One item of a checklist.
 *
 * @param job the job that it makes on return, where it makes one
 * @param hasJob whether a job of that name is open on the car already
 */
record CheckView(
        String item,
        boolean done,
        String answer,
        @Nullable String by,
        @Nullable Instant at,
        @Nullable String job,
        boolean hasJob) {}
