package galecrest.core.plan;

import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import galecrest.core.time.Span;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.LinkId;
import galecrest.core.work.PinId;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A plan that explains itself: where every piece of open work is placed and why, and what that does to every date.
 *
 * @param madeFor the instant it was made for
 * @param placed in order of start, then id
 * @param unplanned work that cannot be planned, never dropped
 * @param brokenPins pins that could not hold, each with its reason
 * @param startedAtRisk at-risk links that the plan makes use of
 * @param thawed work within the frozen days that could not stay as people were told, each with its reason
 */
public record Plan(
        Instant madeFor,
        List<Placed> placed,
        List<Unplanned> unplanned,
        List<BrokenPin> brokenPins,
        List<LinkId> startedAtRisk,
        List<Thawed> thawed,
        List<Outlook> outlooks,
        Score score) {
    public Plan {
        placed = List.copyOf(placed);
        unplanned = List.copyOf(unplanned);
        brokenPins = List.copyOf(brokenPins);
        startedAtRisk = List.copyOf(startedAtRisk);
        thawed = List.copyOf(thawed);
        outlooks = List.copyOf(outlooks);
    }

    /** The same plan with work placed otherwise; what it means for the dates is left as it was. */
    public Plan withPlaced(List<Placed> other) {
        return new Plan(madeFor, other, unplanned, brokenPins, startedAtRisk, thawed, outlooks, score);
    }

    /** Where each piece of work is placed; a new map, which may be changed. */
    public Map<WorkId, Placed> byWork() {
        Map<WorkId, Placed> by = new HashMap<>(2 * placed.size());
        placed.forEach(p -> by.put(p.work(), p));
        return by;
    }

    /**
     * Where one piece of work is placed.
     *
     * @param start when it starts; for outwork, when it leaves
     * @param end when the work ends; for outwork, when it is back
     * @param ready when what follows may start: cured, inspected
     * @param at the stretches in which its crew works (outwork: one stretch, away)
     * @param slotMissed for outwork: its booked slot could not be met, so it joins the queue
     */
    public record Placed(
            WorkId work,
            Instant start,
            Instant end,
            Instant ready,
            List<Span> at,
            List<PersonId> crew,
            Optional<StationId> station,
            boolean slotMissed,
            Because because) {
        public Placed {
            at = List.copyOf(at);
            crew = List.copyOf(crew);
        }
    }

    /** Work that cannot be planned, and why. */
    public record Unplanned(WorkId work, String reason) {}

    /** Work that people must be told otherwise although its day is frozen, and why. */
    public record Thawed(WorkId work, String reason) {}

    /** A pin that could not hold, and why. */
    public record BrokenPin(PinId pin, String reason) {}

    /**
     * What the plan means for a commitment.
     *
     * @param finish when the last of what is due is ready; empty where some of it cannot be planned
     * @param margin shop hours between the finish and the due date, negative when late
     * @param chain the works that make it so, the last first
     * @param missing work that is due and cannot be planned
     */
    public record Outlook(
            CommitmentId commitment,
            Optional<Instant> finish,
            Optional<Minutes> margin,
            List<WorkId> chain,
            List<WorkId> missing) {
        public Outlook {
            chain = List.copyOf(chain);
            missing = List.copyOf(missing);
        }

        /** Whether it is late, or cannot be kept at all. */
        public boolean late() {
            return margin.isEmpty() || margin.get().value() < 0;
        }
    }
}
