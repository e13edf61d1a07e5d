package galecrest.server.component;

import galecrest.core.component.Counter;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A component with its life.
 *
 * @param buildId the car that it is on; null on the shelf
 * @param total what it was used since it was new, by counter
 * @param said the same in words
 * @param due what has run out, and what will at the events of its car
 */
record ComponentResponse(
        String id,
        String name,
        String identity,
        String note,
        boolean safety,
        @Nullable LocalDate expires,
        @Nullable String buildId,
        String place,
        @Nullable Instant since,
        Map<Counter, Double> before,
        Map<Counter, Double> total,
        String said,
        List<LimitResponse> limits,
        List<DueResponse> due,
        List<EntryResponse> history,
        int version) {
    /** A limit, and what is counted against it. */
    record LimitResponse(Counter counter, double most, boolean service, double used, String said) {}

    /** What runs out: in a sentence, on which day, at which event; null where it has run out already. */
    record DueResponse(String said, LocalDate day, @Nullable String at, boolean service) {}

    /** A line of its history: of a car, a service, a repair, a crash. */
    record EntryResponse(Instant at, String what, String by) {}
}
