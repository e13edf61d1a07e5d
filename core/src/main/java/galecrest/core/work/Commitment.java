package galecrest.core.work;

import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import java.time.Instant;
import java.util.Set;

/**
 * A date that someone was told.
 *
 * @param gate what is due: everything essential up to this gate, unless works are named
 * @param works the works that are due; empty for all essential work up to the gate
 * @param weight how much an hour late hurts against others, more than 0
 */
public record Commitment(
        CommitmentId id,
        BuildId build,
        String name,
        Kind kind,
        Instant due,
        Gate gate,
        Set<WorkId> works,
        double weight) {
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
        if (!(weight > 0 && weight < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("The weight of " + name + " must be more than 0, not " + weight + ".");
        }
    }

    /** Whether this work must be done for the commitment. */
    public boolean needs(Work work) {
        if (!works.isEmpty()) {
            return works.contains(work.id());
        }
        return work.build().equals(build) && work.essential() && work.gate().upTo(gate);
    }

    /** Whether this work is wanted by the commitment's date but can follow. */
    public boolean desires(Work work) {
        return works.isEmpty()
                && work.build().equals(build)
                && !work.essential()
                && work.gate().upTo(gate);
    }
}
