package galecrest.server.plan;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What a change does to a date.
 *
 * @param name the date's name, where it is told to somebody who cannot look it up
 * @param beforeMinutes margin; absent where it cannot be planned
 */
public record DateEffect(
        String commitment,
        @Nullable String name,
        @Nullable Long beforeMinutes,
        @Nullable Long afterMinutes,
        @Nullable Instant beforeFinish,
        @Nullable Instant afterFinish) {
    public DateEffect named(String other) {
        return new DateEffect(commitment, other, beforeMinutes, afterMinutes, beforeFinish, afterFinish);
    }
}
