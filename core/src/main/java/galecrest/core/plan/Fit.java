package galecrest.core.plan;

import galecrest.core.build.CureLock;
import galecrest.core.build.Job;
import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import org.jspecify.annotations.Nullable;

/**
 * The earliest place for one job with a given crew at a given station, among what is taken already. It walks forward
 * over the crew's common hours; whatever is in the way moves the start past itself, and the last such thing is what
 * binds the start.
 */
final class Fit {
    private final Network network;
    private final Occupancy taken;
    private final Job job;
    private final int build;
    private final int work;
    private final int cure;

    private int[] crew = {};
    private int station = -1;
    private SlotWindows hours;
    private int start;
    private int end;
    private int endFrom;
    private @Nullable Because cause;

    /**
     * A place that was found.
     *
     * @param cause what moved the start past its bounds; null where nothing did
     */
    record Found(
            int start,
            int end,
            int[] crew,
            int station,
            @Nullable Because cause) {
        /**
         * Ends sooner, then starts sooner; then what somebody else could have done is the weaker reason, so that a
         * start is explained by what holds whoever does the work.
         */
        boolean betterThan(@Nullable Found other) {
            if (other == null || end != other.end) {
                return other == null || end < other.end;
            }
            return start != other.start ? start < other.start : !personal() && other.personal();
        }

        private boolean personal() {
            return cause instanceof Because.PersonBusy || cause instanceof Because.PersonAway;
        }
    }

    Fit(Network network, Occupancy taken, Job job) {
        this.network = network;
        this.taken = taken;
        this.job = job;
        this.build = network.buildOf(job);
        this.work = Network.slots(job);
        this.cure = job.onCar() && job.cureLock() != CureLock.NOTHING ? Grid.slotsFor(job.cure()) : 0;
        this.hours = network.calendars.shopHours();
    }

    /**
     * The earliest place, or null where there is none within the horizon.
     *
     * @param from the start is not before this slot
     * @param endNotBefore nor the end before this one
     * @param latestEnd give up once the end would be past this slot
     */
    @Nullable
    Found earliest(int[] someCrew, int someStation, int from, int endNotBefore, int latestEnd) {
        crew = someCrew;
        station = someStation;
        hours = network.calendars.crew(crew, station);
        cause = null;
        endFrom = endNotBefore;
        start = from;
        while (advance()) {
            if (end > latestEnd) {
                return null;
            }
            if (!blocked()) {
                return new Found(start, end, crew, station, cause);
            }
        }
        return null;
    }

    /** Moves the start to where the crew's hours allow the work at all; false where they never do. */
    private boolean advance() {
        while (true) {
            int open = hours.next(start);
            if (open == SlotWindows.NEVER) {
                return false;
            }
            noteLeave(start, open);
            start = open;
            int windowEnd = hours.windowEnd(open);
            end = job.oneGo() ? start + work : hours.finish(start, work);
            if (end == SlotWindows.NEVER) {
                return false;
            }
            if (job.oneGo() && end > windowEnd) {
                start = windowEnd;
            } else if (end < endFrom) {
                int missing = Math.max(1, hours.workBefore(endFrom) - hours.workBefore(end));
                start = hours.next(start + Math.min(missing, windowEnd - start));
            } else {
                return true;
            }
        }
    }

    /** Leave of one of the crew between two slots is what moved the start, if somebody would have been in. */
    private void noteLeave(int from, int open) {
        if (open == from) {
            return;
        }
        for (int person : crew) {
            SlotWindows leave = network.calendars.onLeave(person);
            if (leave.opensWithin(from, open)) {
                int back = network.calendars.person(person).next(leave.next(from));
                cause = new Because.PersonAway(
                        personId(person), network.grid.instant(Math.min(back, network.grid.slots())));
            }
        }
    }

    /** Whether something is in the way; then the start, or the least end, has moved past it. */
    private boolean blocked() {
        return crewBusy()
                || (station >= 0 && stationTaken())
                || (job.onCar() && (carTaken() || zoneFull() || cureTaken()));
    }

    private boolean crewBusy() {
        for (int person : crew) {
            Occupancy.Busy busy = taken.person(person);
            for (int i = busy.firstEndingAfter(start); i < busy.count() && busy.fromOf(i) < end; i++) {
                int clash = hours.next(Math.max(busy.fromOf(i), start));
                if (clash < Math.min(busy.toOf(i), end)) {
                    start = Math.min(busy.toOf(i), hours.windowEnd(clash));
                    cause = new Because.PersonBusy(
                            personId(person),
                            network.works.get(busy.workOf(i)).id(),
                            network.grid.instant(busy.toOf(i)));
                    return true;
                }
            }
        }
        return false;
    }

    private boolean stationTaken() {
        Occupancy.Stand stand = taken.takenBy(station, build, start, end);
        if (stand == null) {
            return false;
        }
        start = stand.to();
        StationId id = network.shop.stations().get(station).id();
        cause = new Because.StationTaken(id, stand.work(), network.grid.instant(stand.to()));
        return true;
    }

    private boolean carTaken() {
        Occupancy.Claim claim = taken.conflict(build, claim(start, end));
        if (claim == null) {
            return false;
        }
        start = claim.to();
        cause = because(claim);
        return true;
    }

    Because because(Occupancy.Claim claim) {
        var until = network.grid.instant(claim.to());
        return switch (claim.hold()) {
            case AWAY -> new Because.CarAway(claim.work(), until);
            case CURING_ZONE, CURING_CAR -> new Because.Curing(claim.work(), until);
            case WHOLE_CAR -> new Because.WholeCar(claim.work(), until);
            case ON_CAR ->
                job.wholeCar()
                        ? new Because.WholeCar(claim.work(), until)
                        : new Because.CarElsewhere(claim.work(), until);
        };
    }

    Occupancy.Claim claim(int from, int to) {
        var hold = job.wholeCar() ? Occupancy.Hold.WHOLE_CAR : Occupancy.Hold.ON_CAR;
        return new Occupancy.Claim(from, to, hold, job.zone(), station, job.id());
    }

    private boolean zoneFull() {
        int limit = network.shop.builds().get(build).zoneLimit(job.zone());
        for (int window = hours.windowAfter(start); window < hours.count() && hours.startOf(window) < end; window++) {
            int from = Math.max(start, hours.startOf(window));
            int to = Math.min(end, hours.endOf(window));
            var stay = taken.crowd(build, job.zone(), crew.length, limit, from, to);
            if (stay != null) {
                start = stay.to();
                cause = new Because.ZoneFull(job.zone(), stay.work(), network.grid.instant(stay.to()));
                return true;
            }
        }
        return false;
    }

    /** Curing must not run into work that is placed later on; then this must end after that work does. */
    private boolean cureTaken() {
        if (cure == 0) {
            return false;
        }
        var hold = Occupancy.curing(job.cureLock());
        var claim = taken.conflict(build, new Occupancy.Claim(end, end + cure, hold, job.zone(), -1, job.id()));
        if (claim == null) {
            return false;
        }
        endFrom = claim.to();
        cause = because(claim);
        return true;
    }

    private PersonId personId(int person) {
        return network.shop.people().get(person).id();
    }
}
