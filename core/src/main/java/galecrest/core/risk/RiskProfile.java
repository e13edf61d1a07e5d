package galecrest.core.risk;

import galecrest.core.vendor.OfferedSlot;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * How sure a plan is, by replaying it many times with what is uncertain drawn anew each time.
 *
 * @param trials how many times
 * @param odds of each commitment, in the order of the snapshot
 * @param departures of outwork that has not left and is booked for a time, or whose vendor offers times
 * @param overruns jobs that run past their crew's hours, the most often first; below 2 % left out
 */
public record RiskProfile(int trials, long seed, List<Odds> odds, List<Departure> departures, List<Overrun> overruns) {
    public RiskProfile {
        odds = List.copyOf(odds);
        departures = List.copyOf(departures);
        overruns = List.copyOf(overruns);
    }

    /** The share of trials in which a job in one go did not fit into the hours of who is to do it. */
    public record Overrun(WorkId work, double share) {}

    /**
     * When outwork can truly leave, all that comes before it done.
     *
     * @param p50 by when it could in half of the trials; empty where it never could
     * @param p80 by when in 80 %
     * @param bookedFor the time it is booked for
     * @param booked the share of trials in which it could leave in time for the time it is booked for
     * @param offered the same for each time that the vendor offers
     */
    public record Departure(
            WorkId work,
            Optional<Instant> p50,
            Optional<Instant> p80,
            Optional<Instant> bookedFor,
            Optional<Double> booked,
            List<InTime> offered) {
        public Departure {
            offered = List.copyOf(offered);
        }
    }

    /** The chance to leave in time for a time that is offered. */
    public record InTime(OfferedSlot slot, double chance) {}

    /**
     * The odds of one commitment.
     *
     * @param chance the share of trials in which it was kept
     * @param error the standard error of that share by sampling alone: √(p(1 − p)/trials)
     * @param p50 by when it was ready in half of the trials; empty where it never was
     * @param p80 by when in 80 %
     * @param p95 by when in 95 %
     * @param spread twenty-one instants by which 0, 5, 10, … 100 % were ready, those beyond the horizon left out
     * @param chain how often each work was on the chain, the most often first; below 2 % left out
     * @param drivers what moves the finish most
     */
    public record Odds(
            CommitmentId commitment,
            double chance,
            double error,
            Optional<Instant> p50,
            Optional<Instant> p80,
            Optional<Instant> p95,
            List<Instant> spread,
            List<OnChain> chain,
            List<Driver> drivers) {
        public Odds {
            spread = List.copyOf(spread);
            chain = List.copyOf(chain);
            drivers = List.copyOf(drivers);
        }
    }

    /** The share of trials in which the work was on the chain of the commitment. */
    public record OnChain(WorkId work, double share) {}

    /**
     * An uncertainty and how strongly the finish follows it.
     *
     * @param what the kind of thing that is uncertain
     * @param id the work, part or link
     * @param correlation Spearman's rank correlation with the finish, −1 to 1
     */
    public record Driver(What what, String id, double correlation) {}

    /** What can be uncertain. */
    public enum What {
        /** How long a job takes. */
        WORK,
        /** Whether a job brings more work to light. */
        FINDINGS,
        /** How long an outside firm takes, and whether it comes back right. */
        OUTWORK,
        /** When a part comes. */
        PART,
        /** Whether a start at risk must be done again. */
        AT_RISK
    }
}
