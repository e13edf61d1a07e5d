package galecrest.server.event;

import galecrest.core.tyre.Session;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An event as somebody enters it.
 *
 * @param loadsAt when the cars are loaded: they must be ready by then
 * @param backAt when cars and crew are back; null where nobody says
 * @param className the class whose limits hold
 * @param mostSets dry sets that the class allows a car
 * @param mostNew of these, new ones
 * @param uses sessions that one set serves at most
 * @param crew people who go along, by their ids
 * @param version of the one that it changes; 0 for a new one
 */
record EventRequest(
        @Nullable String name,
        @Nullable String place,
        @Nullable String className,
        @Nullable Instant loadsAt,
        @Nullable Instant backAt,
        int mostSets,
        int mostNew,
        int uses,
        @Nullable List<EventSessionRequest> sessions,
        @Nullable List<EventCarRequest> cars,
        @Nullable List<String> crew,
        int version) {
    /**
     * A session.
     *
     * @param id of one that was there before; null for a new one
     * @param km how far a car goes in it
     */
    record EventSessionRequest(
            @Nullable String id,
            @Nullable String name,
            Session.Kind kind,
            @Nullable Instant start,
            int minutes,
            double km) {}

    /**
     * A car that goes.
     *
     * @param template the list of work before it, of a car that goes anew; null for none
     */
    record EventCarRequest(
            String buildId,
            boolean spare,
            @Nullable String driver,
            @Nullable String template) {}
}
