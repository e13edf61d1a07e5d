package galecrest.server.component;

import galecrest.core.component.Counter;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A component as somebody enters it.
 *
 * @param before how much it was used before it was counted here
 * @param version of the one that it changes; 0 for a new one
 * @param fittedTo the car that a new one is fitted to at once; null for the shelf
 */
record ComponentRequest(
        @Nullable String name,
        @Nullable String identity,
        @Nullable Map<Counter, Double> before,
        @Nullable List<LimitRequest> limits,
        @Nullable LocalDate expires,
        boolean safety,
        @Nullable String note,
        int version,
        @Nullable String fittedTo) {}
