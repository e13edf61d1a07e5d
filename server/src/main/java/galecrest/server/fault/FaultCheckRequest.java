package galecrest.server.fault;

import jakarta.validation.constraints.NotBlank;

/**
 * Something that was checked.
 *
 * @param how with what, in which state
 * @param ruledOut whether that is not it
 */
record FaultCheckRequest(
        @NotBlank(message = "What was checked?") String what,
        String how,
        @NotBlank(message = "What came of it?") String result,
        boolean ruledOut) {}
