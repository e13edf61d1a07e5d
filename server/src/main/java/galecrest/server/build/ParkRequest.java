package galecrest.server.build;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A car is put aside.
 *
 * @param until the day on which it comes back by itself; none where nobody knows yet
 * @param dates what becomes of each date of the car
 */
public record ParkRequest(@Nullable Instant until, List<ParkedDate> dates) {
    /** A date is made anew, or withdrawn where there is no other. */
    public record ParkedDate(String id, @Nullable Instant due) {}
}
