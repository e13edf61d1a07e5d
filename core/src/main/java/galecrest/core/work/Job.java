package galecrest.core.work;

import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.parts.PartId;
import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * One piece of work done by one or more hands.
 *
 * @param zone the part of the car; only used on the car
 * @param onCar whether it is done on the car; a job on the bench does not care where the car is
 * @param wholeCar whether it claims the whole car (alignment, scales, paint)
 * @param remaining working time left, once started
 * @param crew the people it takes, working together; an empty crew takes the time around the clock
 * @param stationKind the kind of station it needs
 * @param oneGo whether it must be done in one go; otherwise it splits at the end of a shift
 * @param cure elapsed time after it until it counts as finished
 * @param findings what it may bring to light: the odds draw it, a promise keeps time for it
 * @param started who works on it and where, once started
 */
public record Job(
        WorkId id,
        BuildId build,
        String name,
        Zone zone,
        boolean onCar,
        boolean wholeCar,
        Estimate estimate,
        Optional<Minutes> remaining,
        List<CrewPlace> crew,
        Optional<String> stationKind,
        boolean oneGo,
        Duration cure,
        CureLock cureLock,
        List<PartId> parts,
        Gate gate,
        boolean essential,
        Status status,
        Optional<Instant> notBefore,
        Optional<Hold> hold,
        Optional<Started> started,
        Optional<Instant> doneAt,
        Optional<Findings> findings)
        implements Work {
    /** A job that has used up its estimate is assumed to need so much more. */
    private static final Minutes LEAST_REMAINING = Minutes.of(15);

    public Job {
        crew = List.copyOf(crew);
        parts = List.copyOf(parts);
        if (cure.isNegative()) {
            throw new IllegalArgumentException("The cure time of " + name + " must not be negative.");
        }
        if (wholeCar && !onCar) {
            throw new IllegalArgumentException(name + " claims the whole car, so it must be on the car.");
        }
    }

    /** Who started the job, when and where. */
    public record Started(Instant at, List<PersonId> by, Optional<StationId> station) {
        public Started {
            by = List.copyOf(by);
        }
    }

    /** The same job with other working time left; at least {@link #LEAST_REMAINING} until it is reported done. */
    public Job withRemaining(Minutes left) {
        Minutes some = left.compareTo(LEAST_REMAINING) < 0 ? LEAST_REMAINING : left;
        return with(estimate, Optional.of(some), crew, parts, status, notBefore, hold, started, findings);
    }

    /**
     * The same job after that working time on it. Once its time is used up the clock is believed rather than the estimate:
     * what is still to come is a third of what lies between now and the high value, which is what a triangular density leaves
     * beyond its peak; beyond the high value a tenth of what it has taken.
     */
    public Job afterWorking(Minutes worked) {
        Minutes left = toDo().minus(worked);
        if (left.value() > 0) {
            return withRemaining(left);
        }
        long tail = estimate.high().minus(estimate.likely()).value() + left.value();
        long tenth = (estimate.high().value() - tail) / 10;
        return withRemaining(Minutes.of(tail > 0 ? Math.max(tail / 3, 1) : tenth));
    }

    public Job withParts(List<PartId> other) {
        return with(estimate, remaining, crew, other, status, notBefore, hold, started, findings);
    }

    @Override
    public Job withNotBefore(Instant other) {
        return with(estimate, remaining, crew, parts, status, Optional.of(other), hold, started, findings);
    }

    /** The same job done by another crew, which takes it another time. */
    public Job withCrew(List<CrewPlace> other, Estimate theirs) {
        return with(theirs, remaining, other, parts, status, notBefore, hold, started, findings);
    }

    public Job withFindings(Findings other) {
        return with(estimate, remaining, crew, parts, status, notBefore, hold, started, Optional.of(other));
    }

    /** The same job, held. */
    public Job withHold(Hold other) {
        return with(estimate, remaining, crew, parts, status, notBefore, Optional.of(other), started, findings);
    }

    /** The same job once it has been started, with so much of it left; empty where nobody has said. */
    public Job asStarted(Optional<Minutes> left, Started by) {
        return with(estimate, left, crew, parts, Status.STARTED, notBefore, hold, Optional.of(by), findings);
    }

    /** The same job, finished. */
    public Job asDone(Instant at) {
        return new Job(
                id,
                build,
                name,
                zone,
                onCar,
                wholeCar,
                estimate,
                Optional.empty(),
                crew,
                stationKind,
                oneGo,
                cure,
                cureLock,
                parts,
                gate,
                essential,
                Status.DONE,
                notBefore,
                Optional.empty(),
                started,
                Optional.of(at),
                findings);
    }

    /** Another job of the same kind on the same car, still to do: what a look into the car brought to light. */
    public Job another(WorkId itsId, String itsName, Estimate its) {
        return new Job(
                itsId,
                build,
                itsName,
                zone,
                onCar,
                wholeCar,
                its,
                Optional.empty(),
                crew,
                stationKind,
                oneGo,
                cure,
                cureLock,
                List.of(),
                gate,
                essential,
                Status.TODO,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private Job with(
            Estimate anEstimate,
            Optional<Minutes> left,
            List<CrewPlace> aCrew,
            List<PartId> someParts,
            Status itsStatus,
            Optional<Instant> earliest,
            Optional<Hold> itsHold,
            Optional<Started> itsStart,
            Optional<Findings> someFindings) {
        return new Job(
                id,
                build,
                name,
                zone,
                onCar,
                wholeCar,
                anEstimate,
                left,
                aCrew,
                stationKind,
                oneGo,
                cure,
                cureLock,
                someParts,
                gate,
                essential,
                itsStatus,
                earliest,
                itsHold,
                itsStart,
                doneAt,
                someFindings);
    }

    /** The working time that is still to be planned. */
    public Minutes toDo() {
        return remaining.orElse(estimate.likely());
    }
}
