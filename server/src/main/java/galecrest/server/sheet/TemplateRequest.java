package galecrest.server.sheet;

import jakarta.validation.constraints.Size;

/** A template of the house; {@code version} counts only where it is changed. */
record TemplateRequest(
        @Size(max = 100, message = "Up to 100 characters.") String name,

        @Size(max = 200_000, message = "Up to 200 000 characters.")
        String sheet,

        int version) {}
