package galecrest.server.work;

import org.jspecify.annotations.Nullable;

/**
 * Which date of its car a piece of work is for; neither for the next one whose gate it serves.
 *
 * @param afterDates whether it is for after all dates
 * @param thereId the date at which it is done, while the car is away for it; then the other two say nothing
 */
public record WorkDateRequest(
        @Nullable String dateId,
        boolean afterDates,
        @Nullable String thereId) {}
