package galecrest.server.progress;

import jakarta.validation.constraints.NotBlank;

/**
 * A part of a job becomes a job of its own.
 *
 * @param name what that part is
 * @param minutes how long it takes
 * @param secondHand whether it takes one pair of hands more than the rest, and comes first
 */
record SplitRequest(
        @NotBlank(message = "What is that part of it called?")
        String name,

        int minutes,
        boolean secondHand) {}
