package galecrest.server.rollout;

import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/** Who drives and who looks; null leaves a name as it is, blank takes it away. */
record NamesRequest(
        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String driver,

        @Size(max = LONGEST, message = "At most {max} letters.") @Nullable
        String looker) {
    private static final int LONGEST = 80;
}
