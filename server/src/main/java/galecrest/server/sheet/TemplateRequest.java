package galecrest.server.sheet;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/** A template of the house; {@code version} counts only where it is changed. */
record TemplateRequest(
        @NotBlank(message = "What is the template called?") @Size(max = 80, message = "Up to {max} characters.")
        String name,

        @Size(max = 200_000, message = "Up to 200 000 characters.")
        String sheet,

        int version) {}
