package galecrest.server.carsheet;

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
        @Nullable String place,
        @Nullable String driver,
        String felt,
        @Nullable String changed,
        int version) {}
