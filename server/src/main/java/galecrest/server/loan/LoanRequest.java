package galecrest.server.loan;

import jakarta.validation.constraints.NotBlank;
import org.jspecify.annotations.Nullable;

/** @param fromBuildId which car lends it; null for the shelf */
record LoanRequest(
        @NotBlank(message = "What is borrowed?") String what,
        @Nullable String fromBuildId) {}
