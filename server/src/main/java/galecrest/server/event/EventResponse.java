package galecrest.server.event;

import galecrest.core.tyre.Session;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An event.
 *
 * @param over whether its hours and cycles were booked
 */
record EventResponse(
        String id,
        String name,
        String place,
        String className,
        Instant loadsAt,
        @Nullable Instant backAt,
        int mostSets,
        int mostNew,
        int uses,
        boolean over,
        List<EventSessionResponse> sessions,
        List<EventCarResponse> cars,
        List<String> crew,
        int version) {
    /** A session. */
    record EventSessionResponse(String id, String name, Session.Kind kind, Instant start, int minutes, double km) {}

    /** A car of it, with its date and its round of work. */
    record EventCarResponse(
            String buildId,
            boolean spare,
            String driver,
            @Nullable String commitmentId,
            @Nullable String roundId) {}
}
