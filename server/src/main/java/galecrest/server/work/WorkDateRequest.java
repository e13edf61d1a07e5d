package galecrest.server.work;

import org.jspecify.annotations.Nullable;

/**
 * Which date of its car a piece of work is for; neither for the next one whose gate it serves.
 *
 * @param afterDates whether it is for after all dates
 */
public record WorkDateRequest(@Nullable String dateId, boolean afterDates) {}
