package galecrest.server.carsheet;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A note for the car's log.
 *
 * @param at when it was; now where nothing is said
 * @param version of the note that it changes; 0 for a new one
 */
record CarNoteRequest(
        @Nullable Instant at,

        @Size(max = SHORT, message = "At most {max} letters.") @Nullable
        String place,

        @Size(max = SHORT, message = "At most {max} letters.") @Nullable
        String driver,

        @NotBlank(message = "What was felt or seen?") @Size(max = LONGEST, message = "At most {max} letters.")
        String felt,

        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String changed,

        int version) {
    private static final int SHORT = 80;
    private static final int LONGEST = 2_000;
}
