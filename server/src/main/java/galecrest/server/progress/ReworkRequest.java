package galecrest.server.progress;

import jakarta.validation.constraints.NotBlank;
import org.jspecify.annotations.Nullable;

/** A job is done once more: why, and how long it takes this time; null for as long as was thought. */
record ReworkRequest(
        @NotBlank(message = "Say in a word or two why it is done again.")
        String why,

        @Nullable Integer minutes) {}
