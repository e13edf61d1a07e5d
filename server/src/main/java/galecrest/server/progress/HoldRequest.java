package galecrest.server.progress;

import galecrest.core.work.ReasonTag;
import jakarta.validation.constraints.NotBlank;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

public record HoldRequest(
        ReasonTag reason,

        @NotBlank(message = "Say in a word or two what holds it.")
        String note,

        @Nullable Instant until,
        @Nullable String partId) {
    /** A hold for something else than a part on the list. */
    public HoldRequest(ReasonTag reason, String note, @Nullable Instant until) {
        this(reason, note, until, null);
    }
}
