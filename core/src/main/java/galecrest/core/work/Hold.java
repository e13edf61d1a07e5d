package galecrest.core.work;

import galecrest.core.parts.PartId;
import java.time.Instant;
import java.util.Optional;

/**
 * A person has said that this work cannot go on.
 *
 * @param reason the leading reason
 * @param note what exactly holds it, in the words of who said so
 * @param until when it is expected to be free; empty with no date known, then the next working day is assumed
 * @param part the part that it waits for: then it is free once that is here, whenever that is expected
 */
public record Hold(ReasonTag reason, String note, Optional<Instant> until, Optional<PartId> part) {
    /** A hold for something else than a part on the list. */
    public Hold(ReasonTag reason, String note, Optional<Instant> until) {
        this(reason, note, until, Optional.empty());
    }
}
