package galecrest.server.event;

import galecrest.core.tyre.Session;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An event.
 *
 * @param over whether its hours and cycles were booked
 */
public record EventResponse(
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
    public record EventSessionResponse(
            String id, String name, Session.Kind kind, Instant start, int minutes, double km) {}

    /**
     * A car of it, with its date and its round of work.
     *
     * @param called its number, or its name where it has none; of a car that is put away, too
     */
    public record EventCarResponse(
            String buildId,
            String called,
            boolean spare,
            String driver,
            @Nullable String commitmentId,
            @Nullable String roundId) {}

    /** When its cars are in the shop again: as entered, else when the last session ends, else when they were loaded. */
    public Instant back() {
        return backAt != null
                ? backAt
                : sessions.stream()
                        .map(s -> s.start().plus(Duration.ofMinutes(s.minutes())))
                        .max(Comparator.naturalOrder())
                        .orElse(loadsAt);
    }
}
