package galecrest.server.background;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A piece of long thinking.
 *
 * @param subject the commitment of a rescue; empty otherwise
 * @param change the change of the record that it was asked for
 * @param seconds how long to think at most; 0 for as long as it takes
 * @param progress how far it is, by its kind
 * @param result what it came to, by its kind
 */
public record Thought(
        String id,
        Kind kind,
        String subject,
        long change,
        int seconds,
        String askedBy,
        Instant askedAt,
        State state,
        @Nullable Instant endedAt,
        @Nullable JsonNode progress,
        @Nullable JsonNode result) {
    /** What is thought about. */
    public enum Kind {
        /** A better plan. */
        HARDER,
        /** The odds of the present plan. */
        CHANCE,
        /** What would win a date back. */
        RESCUE,
        /** When a new build from a template would be ready. */
        PROMISE,
        /** A better plan, looked for without being asked, to be offered. */
        OFFER
    }

    /** Where it stands. */
    public enum State {
        WAITING,
        RUNNING,
        DONE,
        STOPPED,
        FAILED
    }
}
