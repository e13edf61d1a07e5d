package galecrest.core.work;

import java.time.Instant;
import java.util.Optional;

/**
 * A person has said that this work cannot go on.
 *
 * @param reason the leading reason
 * @param note what exactly holds it, in the words of who said so
 * @param until when it is expected to be free; empty with no date known, then the next working day is assumed
 */
public record Hold(ReasonTag reason, String note, Optional<Instant> until) {}
