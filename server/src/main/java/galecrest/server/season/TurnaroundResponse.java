package galecrest.server.season;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is done on a car between the event that it comes from and the one that it goes to.
 *
 * @param from when it is back
 * @param to when it must be ready
 * @param there minutes that people are in between, all together
 * @param free minutes of these that the plan has no other work for
 * @param lines what it takes; those that are laid have their place in the plan
 * @param laid the name of the round; null while it is only proposed
 * @param dateId the date at which what would help is tried; null where the car has none
 */
record TurnaroundResponse(
        String buildId,
        String last,
        Instant from,
        Instant to,
        long there,
        long free,
        List<TurnaroundLineResponse> lines,
        @Nullable String laid,
        @Nullable String dateId) {
    /**
     * A line.
     *
     * @param labour minutes of all hands together
     * @param canFollow whether the car may go without it
     * @param end when the plan ends it; null while it is not laid
     * @param fits whether that is in time; true while it is not laid
     */
    record TurnaroundLineResponse(
            String key,
            String name,
            int labour,
            String because,
            boolean canFollow,
            @Nullable Instant end,
            boolean fits,
            boolean done) {}
}
