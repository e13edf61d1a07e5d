package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;
import java.util.Arrays;

/**
 * The earliest place for a job with one crew at one station, among what is taken already. It walks forward over the crew's
 * common hours; whatever is in the way moves the start past itself, and the last such thing is what binds the start.
 */
final class EarliestStart {
    private static final int UNKNOWN = Integer.MIN_VALUE;

    private final SchedulingProblem problem;
    private final ResourceState taken;

    private Activity.JobActivity job;
    private WorkingWindows hours;
    private int work;
    private int cure;
    private int window;
    private int endFrom;
    /** The first gap of each pool of one: where that lets the work start, and which it is. */
    private final int[] firstGap;

    private final int[] firstGapAt;
    /** Of each of the present crew, the gap that was looked at last; one found later lies no earlier. */
    private final int[] gapAt;
    /** Of each of the present crew, until when the gap lasts that the start lies in: till there nothing takes them. */
    private final int[] freeTo;

    private final BindingConstraint begunCause = new BindingConstraint();
    private final int[] begunAt;

    /** Where the present crew began, whatever the station. */
    int begun;

    CrewMode crew;
    int station;
    /** The place that was found, and what moved its start; see {@link #resolve}. */
    int start;

    int end;
    final BindingConstraint cause = new BindingConstraint();

    @SuppressWarnings("NullAway.Init")
    EarliestStart(SchedulingProblem problem, ResourceState taken) {
        this.problem = problem;
        this.taken = taken;
        firstGap = new int[taken.gaps.length];
        firstGapAt = new int[taken.gaps.length];
        gapAt = new int[taken.gaps.length];
        freeTo = new int[taken.gaps.length];
        begunAt = new int[taken.gaps.length];
        Arrays.fill(freeTo, UNKNOWN);
    }

    /** Another piece of work of so many slots; nothing is known of gaps for it yet. */
    void next(Activity.JobActivity activity, int slots) {
        job = activity;
        work = slots;
        Arrays.fill(firstGap, UNKNOWN);
    }

    /** The first slot at which each of the crew, taken alone, is free for so much work. */
    int firstGap(CrewMode someCrew, int from) {
        int latest = from;
        for (int pool : someCrew.pools) {
            FreeIntervals gaps = taken.gaps[pool];
            if (gaps != null) {
                if (firstGap[pool] == UNKNOWN) {
                    firstGap[pool] = gaps.next(from, work);
                    firstGapAt[pool] = gaps.found();
                }
                latest = Math.max(latest, firstGap[pool]);
            }
        }
        return latest;
    }

    /** Begins a crew where all of it is free for so much work; false where that is never, or too late. */
    boolean begin(CrewMode someCrew, int first, int from, int latestEnd) {
        crew = someCrew;
        start = first;
        int busy = -1;
        for (int pool : crew.pools) {
            gapAt[pool] = firstGapAt[pool];
            busy = busy < 0 && taken.gaps[pool] != null && firstGap[pool] == first ? pool : busy;
        }
        if (first > from) {
            cause.set(BindingConstraint.Kind.PERSON_BUSY, UNKNOWN, busy, first);
        } else {
            cause.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        }
        if (crew.pools.length > 1 && !toGap(latestEnd)) {
            return false;
        }
        begun = start;
        begunCause.set(cause);
        for (int pool : crew.pools) {
            begunAt[pool] = gapAt[pool];
        }
        return true;
    }

    /** Goes back to where the crew began. */
    void again() {
        start = begun;
        cause.set(begunCause);
        for (int pool : crew.pools) {
            FreeIntervals gaps = taken.gaps[pool];
            gapAt[pool] = begunAt[pool];
            freeTo[pool] = gaps == null ? UNKNOWN : gaps.endOf(gapAt[pool]);
        }
    }

    /** When the work ends that a crew begins at a slot at a station, if nothing is in the way. */
    int end(CrewMode someCrew, int someStation, int slot) {
        WorkingWindows its = someCrew.hours(someStation, problem.mirror);
        return job.oneGo() ? slot + work : its.finish(its.next(slot), work);
    }

    /**
     * Begins a crew at a slot as if nothing were known of it; false where all of it is never free for so much work, or not
     * before it would end later than is wanted.
     */
    boolean beginAt(CrewMode someCrew, int slot, int latestEnd) {
        crew = someCrew;
        start = slot;
        cause.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        for (int pool : crew.pools) {
            freeTo[pool] = UNKNOWN;
            gapAt[pool] = 0;
        }
        return crew.pools.length == 1 || toGap(latestEnd);
    }

    /** Looks up whose work a gap comes after, which is only asked where it matters. */
    void resolve() {
        if (cause.ref == UNKNOWN) {
            cause.ref = taken.pools[cause.aux].endedBefore(cause.until);
        }
    }

    /**
     * The earliest place of the present crew at a station, from where all of it is free for so much work; false where it
     * would end later than is wanted, or then and start later.
     */
    boolean earliest(int someStation, int endNotBefore, int latestEnd, int latestStart) {
        station = someStation;
        hours = crew.hours(station, problem.mirror);
        cure = job.cureHold() >= 0 ? job.cure() : 0;
        endFrom = endNotBefore;
        for (boolean more = true; more; more = toGap(latestEnd)) {
            if (!advance()) {
                return false;
            }
            if (end > latestEnd || end == latestEnd && start > latestStart) {
                return false;
            }
            if (!blocked()) {
                return true;
            }
        }
        return false;
    }

    /** Moves the start to where the crew's hours allow the work at all; false where they never do. */
    private boolean advance() {
        while (true) {
            window = hours.windowAfter(start);
            if (window == hours.count()) {
                return false;
            }
            int open = Math.max(start, hours.startOf(window));
            if (open != start) {
                noteLeave(start, open);
                start = open;
            }
            int windowEnd = hours.endOf(window);
            end = job.oneGo() ? start + work : hours.finish(window, start, work);
            if (end == WorkingWindows.NEVER) {
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

    /** Moves the start to where each of the crew is free for long enough; false where that is never, or too late. */
    private boolean toGap(int latestEnd) {
        int agreed = 0;
        for (int i = 0; agreed < crew.pools.length; i = i + 1 < crew.pools.length ? i + 1 : 0) {
            int pool = crew.pools[i];
            FreeIntervals gaps = taken.gaps[pool];
            agreed++;
            if (gaps == null) {
                continue;
            }
            int free = gaps.next(gapAt[pool], start, work);
            if (free + work > latestEnd) {
                return false;
            }
            gapAt[pool] = gaps.found();
            freeTo[pool] = gaps.endOf(gapAt[pool]);
            if (free > start) {
                cause.set(BindingConstraint.Kind.PERSON_BUSY, UNKNOWN, pool, free);
                start = free;
                agreed = 1;
            }
        }
        return true;
    }

    /** Leave of one of the crew between two slots is what moved the start, if somebody would have been in. */
    private void noteLeave(int from, int open) {
        if (problem.mirror) {
            return;
        }
        for (int pool : crew.pools) {
            int person = problem.pools.anyOf(pool);
            WorkingWindows leave = problem.calendars.onLeave(person);
            if (!leave.isEmpty() && leave.opensWithin(from, open)) {
                int back = problem.calendars.person(person).next(leave.next(from));
                cause.set(BindingConstraint.Kind.PERSON_AWAY, person, -1, Math.min(back, problem.slots));
            }
        }
    }

    /** Whether something is in the way; then the start, or the least end, has moved past it. */
    private boolean blocked() {
        return crewBusy()
                || station >= 0 && stationTaken()
                || job.onCar() && (carTaken() || zoneFull() || cure > 0 && cureTaken());
    }

    private boolean crewBusy() {
        for (int i = 0; i < crew.pools.length; i++) {
            int pool = crew.pools[i];
            if (end <= freeTo[pool]) {
                continue;
            }
            ResourceProfile usage = taken.pools[pool];
            int size = problem.pools.size(pool);
            int most = size - crew.counts[i];
            int step = usage.crowded(usage.stepAt(start), end, most);
            while (step >= 0) {
                int relief = usage.relieved(step, most);
                int until = usage.slotOf(relief);
                // Someone alone is only taken while at work; a larger pool from the start of a job to its end.
                int clash = size > 1 ? start : hours.next(Math.max(usage.slotOf(step), start));
                if (clash < Math.min(until, end)) {
                    start = until;
                    cause.set(BindingConstraint.Kind.PERSON_BUSY, usage.endedAt(relief), pool, until);
                    return true;
                }
                step = usage.crowded(relief, end, most);
            }
        }
        return false;
    }

    private boolean stationTaken() {
        Occupancy stays = taken.stations[station];
        int stay = stays.other(job.build(), start, end);
        if (stay < 0) {
            return false;
        }
        start = stays.end(stay);
        int last = stays.lastBeforeFree(job.build(), start, work);
        if (last >= 0) {
            start = stays.end(last);
        } else {
            last = stay;
        }
        int owner = stays.owner(last);
        if (owner < -1) {
            cause.set(BindingConstraint.Kind.AT_DATE, ResourceState.atDate(owner), station, start);
        } else {
            cause.set(BindingConstraint.Kind.STATION_TAKEN, owner, station, start);
        }
        return true;
    }

    private boolean carTaken() {
        int back = Activity.back(job.carAway(), start, end);
        if (back >= 0) {
            start = back;
            cause.set(BindingConstraint.Kind.AT_DATE, -1, -1, start);
            return true;
        }
        Occupancy claims = taken.cars[job.build()];
        int claim = claims.conflict(start, end, job.hold(), job.zone(), station);
        if (claim < 0) {
            return false;
        }
        start = claims.end(claim);
        cause.set(BindingConstraint.Kind.CAR_CLAIMED, claims.owner(claim), claims.who(claim), start);
        return true;
    }

    private boolean zoneFull() {
        ResourceProfile usage = taken.zone(job.build(), job.zone());
        int most = job.zoneLimit() - crew.hands;
        for (int w = window; w < hours.count() && hours.startOf(w) < end; w++) {
            int from = Math.max(start, hours.startOf(w));
            int step = usage.crowded(usage.stepAt(from), Math.min(end, hours.endOf(w)), most);
            if (step >= 0) {
                int relief = usage.relieved(step, most);
                start = usage.slotOf(relief);
                cause.set(BindingConstraint.Kind.ZONE_FULL, usage.endedAt(relief), -1, start);
                return true;
            }
        }
        return false;
    }

    /** Curing must not run into work that is placed later on; then this must end after that work does. */
    private boolean cureTaken() {
        Occupancy claims = taken.cars[job.build()];
        int claim = claims.conflict(end, end + cure, job.cureHold(), job.zone(), -1);
        if (claim < 0) {
            return false;
        }
        endFrom = claims.end(claim);
        cause.set(BindingConstraint.Kind.CURES_INTO, claims.owner(claim), -1, endFrom);
        return true;
    }
}
