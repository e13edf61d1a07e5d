package galecrest.server.call;

import jakarta.validation.constraints.NotBlank;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A call: with {@code said} it has taken place, with {@code due} one is promised, with both the next one is.
 *
 * @param buildId which car it is about; null for none
 */
record CallRequest(
        @NotBlank(message = "Who is it?") String who,
        String about,
        @Nullable String buildId,
        @Nullable String said,
        @Nullable Instant due) {}
