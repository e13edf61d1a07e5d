package galecrest.core.work;

import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import java.time.Instant;

/** Something the manager has settled about the plan by hand. */
public sealed interface Pin {
    PinId id();

    /** The work that is pinned. */
    WorkId work();

    /** This person is in the crew. */
    record ToPerson(PinId id, WorkId work, PersonId person) implements Pin {}

    /** At this station. */
    record ToStation(PinId id, WorkId work, StationId station) implements Pin {}

    /** Not before this instant. */
    record NotBefore(PinId id, WorkId work, Instant at) implements Pin {}

    /** Only after this other work is finished. */
    record After(PinId id, WorkId work, WorkId first) implements Pin {}

    /** Starting exactly then. */
    record Exactly(PinId id, WorkId work, Instant at) implements Pin {}
}
