package galecrest.core.work;

import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.time.Arrival;
import galecrest.core.time.Minutes;
import galecrest.core.time.Span;
import galecrest.core.vendor.VendorId;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * Work done by another firm, on the whole car (which is then away) or on a part of it.
 *
 * @param transportOut elapsed time to the vendor
 * @param slot the booked slot; without one it joins the queue
 * @param turnaround vendor working days in the queue: brought on day 0, ready at closing time of that many working
 *     days later
 * @param inspection shop hours to look it over on return
 * @param away since when it is gone and when it is expected back, once sent
 */
public record Outwork(
        WorkId id,
        BuildId build,
        String name,
        VendorId vendor,
        boolean wholeCar,
        Duration transportOut,
        Optional<Span> slot,
        Turnaround turnaround,
        Duration transportBack,
        Minutes inspection,
        Gate gate,
        boolean essential,
        Status status,
        Optional<Instant> notBefore,
        Optional<Hold> hold,
        Optional<Away> away,
        Optional<Instant> doneAt)
        implements Work {
    public Outwork {
        if (transportOut.isNegative() || transportBack.isNegative() || inspection.value() < 0) {
            throw new IllegalArgumentException("Transport and inspection of " + name + " must not be negative.");
        }
    }

    public Outwork withTiming(Turnaround other, Optional<Away> where) {
        return with(slot, other, notBefore, where);
    }

    @Override
    public Outwork withNotBefore(Instant other) {
        return with(slot, turnaround, Optional.of(other), away);
    }

    /** The same booked for another time, or for none. */
    public Outwork withSlot(Optional<Span> other) {
        return with(other, turnaround, notBefore, away);
    }

    /** The same, sent, and promised back for that time. */
    public Outwork asSent(Instant since, Arrival back) {
        return standing(Status.STARTED, Optional.of(new Away(since, back)), Optional.empty());
    }

    /** The same, back and done. */
    public Outwork asDone(Instant at) {
        return standing(Status.DONE, Optional.empty(), Optional.of(at));
    }

    private Outwork standing(Status its, Optional<Away> where, Optional<Instant> done) {
        return new Outwork(
                id,
                build,
                name,
                vendor,
                wholeCar,
                transportOut,
                slot,
                turnaround,
                transportBack,
                inspection,
                gate,
                essential,
                its,
                notBefore,
                Optional.empty(),
                where,
                done);
    }

    private Outwork with(Optional<Span> booked, Turnaround days, Optional<Instant> earliest, Optional<Away> where) {
        return new Outwork(
                id,
                build,
                name,
                vendor,
                wholeCar,
                transportOut,
                booked,
                days,
                transportBack,
                inspection,
                gate,
                essential,
                status,
                earliest,
                hold,
                where,
                doneAt);
    }

    /** Vendor working days: at best, most likely, at worst. */
    public record Turnaround(int low, int likely, int high) {
        public Turnaround {
            if (!(0 <= low && low <= likely && likely <= high)) {
                throw new IllegalArgumentException("The turnaround must be 0 ≤ low ≤ likely ≤ high days, not " + low
                        + ", " + likely + ", " + high + ".");
            }
        }
    }

    /** Since when it is away, and when it is expected back at the shop. */
    public record Away(Instant since, Arrival back) {}
}
