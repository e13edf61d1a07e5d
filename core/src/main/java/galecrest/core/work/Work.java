package galecrest.core.work;

import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import java.time.Instant;
import java.util.Optional;

/** Anything in a build that takes time and can be planned, linked and pinned. */
public sealed interface Work permits Job, Outwork, RunningIn {
    WorkId id();

    BuildId build();

    String name();

    Gate gate();

    /** Whether the gate needs this work; otherwise it can follow. */
    boolean essential();

    Status status();

    Optional<Instant> notBefore();

    /** The same work, wanted no sooner than that. */
    Work withNotBefore(Instant other);

    Optional<Hold> hold();

    /** When it was finished; present exactly when the status is done. */
    Optional<Instant> doneAt();
}
