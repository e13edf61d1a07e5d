package galecrest.server.loom;

import galecrest.core.loom.LoomModule;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A module.
 *
 * @param kind CONTROL_UNIT, SENSOR or CONSUMER
 * @param needs ids of those without which it does not work
 * @param mass as people write it; blank where nobody has weighed it
 * @param version the one that was read; 0 for a new one
 */
record ModuleRequest(
        @NotBlank(message = "What is it called?") @Size(max = 80, message = "At most {max} letters.")
        String name,

        String kind,

        @NotNull(message = "Undecided, keep, take out or replace.")
        LoomModule.Decision decision,

        @Nullable List<String> needs,
        @Nullable String mass,
        @Nullable String note,
        int version) {}
