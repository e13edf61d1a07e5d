package galecrest.server.progress;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/**
 * A day of those whom one may see: what is written down of it, and what was planned and is not.
 *
 * @param before the last day before it on which anybody was in
 */
record CatchUpResponse(LocalDate day, LocalDate before, List<PersonDay> people) {
    /** @param inMinutes how long the person was in by its shifts */
    record PersonDay(String personId, int inMinutes, List<Written> written, List<Planned> planned) {}

    /** Hours that are written down, up to that moment. */
    record Written(String id, String workId, int minutes, Instant at) {}

    /** What the plan had for the person on the day and nothing was written of. */
    record Planned(String workId, int minutes) {}
}
