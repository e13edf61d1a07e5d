package galecrest.server.progress;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What was done on a day that is past, or earlier today; all of it is taken or none. */
record CatchUpRequest(LocalDate day, List<DoneLine> lines) {
    /**
     * One job, as those people did it together.
     *
     * @param minutes how long, each of them
     * @param until when they left it; null for the end of their day
     * @param done whether that finished it
     * @param leftMinutes how much is left where it did not; null for what the estimate leaves
     */
    record DoneLine(
            String workId,
            List<String> people,
            int minutes,
            @Nullable LocalTime until,
            boolean done,
            @Nullable Integer leftMinutes) {}
}
