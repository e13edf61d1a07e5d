package galecrest.server.fault;

import jakarta.validation.constraints.NotBlank;

/** What it was. */
record SolvedRequest(@NotBlank(message = "What was it?") String cause) {}
