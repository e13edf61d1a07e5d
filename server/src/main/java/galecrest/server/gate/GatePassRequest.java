package galecrest.server.gate;

import org.jspecify.annotations.Nullable;

/**
 * Takes a car past a gate.
 *
 * @param did who did it or drives
 * @param looked another who looked
 * @param reason why it is passed though lines are open
 */
record GatePassRequest(
        @Nullable String did,
        @Nullable String looked,
        @Nullable String reason) {}
