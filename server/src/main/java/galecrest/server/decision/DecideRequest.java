package galecrest.server.decision;

import jakarta.validation.constraints.NotBlank;

/**
 * What was decided.
 *
 * @param kept whether that is to keep it as it is
 */
record DecideRequest(
        @NotBlank(message = "What was decided?") String chosen, boolean kept, String note) {}
