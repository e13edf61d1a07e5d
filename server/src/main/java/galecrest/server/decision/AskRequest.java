package galecrest.server.decision;

import jakarta.validation.constraints.NotBlank;

/** A hand asks whoever leads, at a job. */
record AskRequest(
        @NotBlank(message = "What do you want to know?") String question) {}
