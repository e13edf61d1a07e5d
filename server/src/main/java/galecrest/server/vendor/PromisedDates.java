package galecrest.server.vendor;

import galecrest.core.shop.Problem;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The three dates of an arrival as they are entered: all or none, in order. */
public final class PromisedDates {
    private PromisedDates() {}

    public static List<Problem> problems(@Nullable Instant low, @Nullable Instant likely, @Nullable Instant high) {
        if (low == null && likely == null && high == null) {
            return List.of();
        }
        if (low == null || likely == null || high == null) {
            return List.of(new Problem("arrivalLikely", "Give all three dates (earliest, likely, latest) or none."));
        }
        if (likely.isBefore(low)) {
            return List.of(new Problem("arrivalLow", "The earliest arrival is after the likely one."));
        }
        return high.isBefore(likely)
                ? List.of(new Problem("arrivalHigh", "The latest arrival is before the likely one."))
                : List.of();
    }
}
