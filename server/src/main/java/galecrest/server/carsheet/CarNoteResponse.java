package galecrest.server.carsheet;

import java.time.Instant;
import java.util.List;

/**
 * A note of the car's log.
 *
 * @param place road, track or hill, in words
 * @param felt what was felt or seen
 * @param changed what was changed after it
 * @param measured what was measured within the hour before or after, in words
 */
record CarNoteResponse(
        String id,
        Instant at,
        String place,
        String driver,
        String felt,
        String changed,
        String by,
        int version,
        List<String> measured) {}
