package galecrest.core.work;

import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.time.Minutes;
import galecrest.core.time.Span;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A date that someone was told.
 *
 * @param gate what is due: everything essential up to this gate, unless works are named
 * @param works the works that are due; empty for all essential work up to the gate
 * @param weight how much an hour late hurts against others, more than 0
 * @param leftForLater work up to the gate that belongs to a later date of the car, or is for after all of them: it makes
 *     this date no later
 * @param slotOf the outwork whose booked slot this is: the works are what must be done before it leaves, and there may be
 *     none
 * @param outing what the date takes away from the shop, from when it is due; empty where nothing is said of that
 */
public record Commitment(
        CommitmentId id,
        BuildId build,
        String name,
        Kind kind,
        Instant due,
        Gate gate,
        Set<WorkId> works,
        double weight,
        Set<WorkId> leftForLater,
        Optional<WorkId> slotOf,
        Optional<Outing> outing) {
    /** An event and a paid slot are hard; a promise is soft. */
    public enum Kind {
        EVENT,
        SLOT,
        PROMISE;

        public boolean hard() {
            return this != PROMISE;
        }
    }

    public Commitment {
        works = Set.copyOf(works);
        leftForLater = Set.copyOf(leftForLater);
        if (!(weight > 0 && weight < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("The weight of " + name + " must be more than 0, not " + weight + ".");
        }
    }

    /** A date that leaves nothing for later and is no booked slot. */
    public Commitment(
            CommitmentId id,
            BuildId build,
            String name,
            Kind kind,
            Instant due,
            Gate gate,
            Set<WorkId> works,
            double weight) {
        this(id, build, name, kind, due, gate, works, weight, Set.of(), Optional.empty(), Optional.empty());
    }

    /** The same, due at another time. */
    public Commitment withDue(Instant other) {
        return new Commitment(id, build, name, kind, other, gate, works, weight, leftForLater, slotOf, outing);
    }

    /** The same, with that work left for later. */
    public Commitment leaving(Set<WorkId> later) {
        return new Commitment(id, build, name, kind, due, gate, works, weight, later, slotOf, outing);
    }

    /** The same that takes something away from the shop, or nothing. */
    public Commitment taking(Optional<Outing> other) {
        return new Commitment(id, build, name, kind, due, gate, works, weight, leftForLater, slotOf, other);
    }

    /** From when until when the car is away for it, where it is. */
    public Optional<Span> away() {
        return outing.filter(o -> o.back().isAfter(due)).map(o -> new Span(due, o.back()));
    }

    /** Whether this work is done while the car is away for it. */
    public boolean there(Work work) {
        return outing.isPresent() && outing.get().there().contains(work.id());
    }

    /** The same where some work is gone from the plan. */
    public Commitment without(Set<WorkId> gone) {
        return new Commitment(
                id,
                build,
                name,
                kind,
                due,
                gate,
                less(works, gone),
                weight,
                less(leftForLater, gone),
                slotOf,
                outing.map(o -> o.doing(less(o.there(), gone))));
    }

    private static Set<WorkId> less(Set<WorkId> all, Set<WorkId> gone) {
        return all.stream().filter(w -> !gone.contains(w)).collect(Collectors.toUnmodifiableSet());
    }

    /** Whether it needs what it names, and not all of the car up to its gate. */
    public boolean named() {
        return !works.isEmpty() || slotOf.isPresent();
    }

    /** Whether this work must be done for the commitment. */
    public boolean needs(Work work) {
        return !there(work) && (named() ? works.contains(work.id()) : work.essential() && isUpToGate(work));
    }

    /**
     * The time that a promise keeps for what this work may bring to light, until it is done: what may be found times the
     * chance of it. Nothing at hard dates, where the odds tell it.
     */
    public Minutes allowance(Work work) {
        return kind == Kind.PROMISE && needs(work) && work instanceof Job job && job.status() != Status.DONE
                ? job.findings()
                        .map(f -> Minutes.of(Math.round(f.chance() * f.work().value())))
                        .orElse(Minutes.ZERO)
                : Minutes.ZERO;
    }

    /** Whether this work is wanted by the commitment's date but can follow. */
    public boolean desires(Work work) {
        return !named() && !there(work) && !work.essential() && isUpToGate(work);
    }

    private boolean isUpToGate(Work work) {
        return work.build().equals(build) && work.gate().upTo(gate) && !leftForLater.contains(work.id());
    }
}
