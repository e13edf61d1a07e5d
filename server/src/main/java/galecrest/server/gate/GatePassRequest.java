package galecrest.server.gate;

import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * Takes a car past a gate.
 *
 * @param did who did it or drives
 * @param looked another who looked
 * @param reason why it is passed though lines are open
 */
record GatePassRequest(
        @Size(max = LONGEST_NAME, message = "At most {max} letters.") @Nullable
        String did,

        @Size(max = LONGEST_NAME, message = "At most {max} letters.") @Nullable
        String looked,

        @Size(max = 400, message = "At most {max} letters.") @Nullable
        String reason) {
    private static final int LONGEST_NAME = 80;
}
