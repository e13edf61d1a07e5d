package galecrest.server.fault;

import jakarta.validation.constraints.NotBlank;

/** What is wrong. */
record FaultRequest(@NotBlank(message = "What is wrong?") String symptom) {}
