package galecrest.core.plan;

import galecrest.core.build.Zone;
import galecrest.core.parts.PartId;
import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.PinId;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.Optional;

/** What bound the start of a piece of work: the one thing without which it could have started earlier. */
public sealed interface Because {
    /** The word on the tag; empty where nothing holds the work but the clock. */
    default Optional<ReasonTag> tag() {
        return Optional.empty();
    }

    /** The work to look at next when following the chain. */
    default Optional<WorkId> blocker() {
        return Optional.empty();
    }

    /** Nothing: it can start at once, or has started. */
    record Nothing() implements Because {}

    /** The people it takes are not in before. */
    record Shift() implements Because {}

    /** Somebody said not before. */
    record NotBefore(Instant at) implements Because {}

    /** Pinned by the manager. */
    record Pinned(PinId pin) implements Because {}

    /** It could start earlier, but people have been told so for these days. */
    record Told() implements Because {}

    /** Held by hand. */
    record Held(ReasonTag reason, String note, Instant assumedUntil) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(reason);
        }
    }

    /** The vendor is shut, and takes in nothing that arrives before. */
    record VendorShut(VendorId vendor, Instant opens) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.OUT);
        }
    }

    /** A part is not here and inspected before. {@code assumed}: it has no date, the house rule's was taken. */
    record Part(PartId part, Instant ready, boolean assumed) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.PART);
        }
    }

    /** A link or an order pin to earlier work; {@code lag} where a lag after it counts too. */
    record After(WorkId work, boolean outside, boolean curing, boolean lag) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(outside ? ReasonTag.OUT : curing ? ReasonTag.CURE : ReasonTag.AFTER);
        }

        @Override
        public Optional<WorkId> blocker() {
            return Optional.of(work);
        }
    }

    /** The person is on another job. */
    record PersonBusy(PersonId person, WorkId with, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.HANDS);
        }

        @Override
        public Optional<WorkId> blocker() {
            return Optional.of(with);
        }
    }

    /** The person is on leave. */
    record PersonAway(PersonId person, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.HANDS);
        }
    }

    /** Another car is at the station. */
    record StationTaken(StationId station, WorkId by, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.STATION);
        }

        @Override
        public Optional<WorkId> blocker() {
            return Optional.of(by);
        }
    }

    /** The car stands at another kind of station. */
    record CarElsewhere(WorkId at, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.STATION);
        }

        @Override
        public Optional<WorkId> blocker() {
            return Optional.of(at);
        }
    }

    /** The car, or the station it takes along, is away at one of the car's dates. */
    record AtDate(CommitmentId date, Optional<StationId> station, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(station.isPresent() ? ReasonTag.STATION : ReasonTag.OUT);
        }
    }

    /** It is done while the car is away at that date. */
    record DoneThere(CommitmentId date) implements Because {}

    /** No more people fit in the zone. */
    record ZoneFull(Zone zone, WorkId with, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.ZONE);
        }

        @Override
        public Optional<WorkId> blocker() {
            return Optional.of(with);
        }
    }

    /** One of the two claims the whole car. */
    record WholeCar(WorkId with, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.ZONE);
        }

        @Override
        public Optional<WorkId> blocker() {
            return Optional.of(with);
        }
    }

    /** It would still cure when work that is at the car already begins or goes on; so it ends after that. */
    record CuresInto(WorkId with, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.CURE);
        }

        @Override
        public Optional<WorkId> blocker() {
            return Optional.of(with);
        }
    }

    /** Something on the car cures. */
    record Curing(WorkId after, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.CURE);
        }

        @Override
        public Optional<WorkId> blocker() {
            return Optional.of(after);
        }
    }

    /** The car is away. */
    record CarAway(WorkId at, Instant until) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.OUT);
        }

        @Override
        public Optional<WorkId> blocker() {
            return Optional.of(at);
        }
    }

    /** The outside shop's booked slot. */
    record Slot(Instant from) implements Because {
        @Override
        public Optional<ReasonTag> tag() {
            return Optional.of(ReasonTag.OUT);
        }
    }
}
