package galecrest.core.plan;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * The earliest place for a job with a crew at a station, among what is taken already. It walks forward over the crew's
 * common hours; whatever is in the way moves the start past itself, and the last such thing is what binds the start.
 * {@link #best} tries all crews at all stations and keeps the place that ends first.
 */
final class JobFit {
    private static final int UNKNOWN = Integer.MIN_VALUE;

    private final Model model;
    private final Taken taken;

    private Task.JobTask job;
    private Crew crew;
    private int station;
    private SlotWindows hours;
    private int work;
    private int cure;
    private int start;
    private int end;
    private int window;
    private int endFrom;
    private final Cause cause = new Cause();
    /** The first gap of each pool of one: where that lets the work start, and which it is. */
    private final int[] firstGap;

    private final int[] firstGapAt;
    /** Of each of the present crew, the gap that was looked at last; one found later lies no earlier. */
    private final int[] gapAt;
    /** Of each of the present crew, until when the gap lasts that the start lies in: till there nothing takes them. */
    private final int[] freeTo;
    /** Where the present crew began, whatever the station: from when on, why then, and in which gap of each. */
    private int begun;

    private final Cause begunCause = new Cause();
    private final int[] begunAt;

    /** Of each crew, when it is free at all; {@link SlotWindows#NEVER} once it has been tried. */
    private int[] firsts = new int[0];
    /** The number of the present place among crews and stations as they are listed, and of the best. */
    private int place;

    private int bestPlace;

    /** The best place found last: null crew for none. */
    @Nullable
    Crew bestCrew;

    /** Whether of places that are equally good the last one found is kept instead of the first. */
    boolean lastOfEquals;

    int bestStation;
    int bestStart;
    int bestEnd;
    final Cause bestCause = new Cause();

    @SuppressWarnings("NullAway.Init")
    JobFit(Model model, Taken taken) {
        this.model = model;
        this.taken = taken;
        this.firstGap = new int[taken.gaps.length];
        this.firstGapAt = new int[taken.gaps.length];
        this.gapAt = new int[taken.gaps.length];
        this.freeTo = new int[taken.gaps.length];
        this.begunAt = new int[taken.gaps.length];
        Arrays.fill(freeTo, UNKNOWN);
    }

    /**
     * Finds the best place among crews and stations; {@link #bestCrew} is null where there is none.
     *
     * @param from the start is not before this slot
     * @param endNotBefore nor the end before this one
     */
    void best(Task.JobTask task, int slots, Crew[] crews, int[] stations, int from, int endNotBefore) {
        bestCrew = null;
        bestEnd = SlotWindows.NEVER;
        Arrays.fill(firstGap, UNKNOWN);
        if (firsts.length < crews.length) {
            firsts = new int[crews.length];
        }
        for (int i = 0; i < crews.length; i++) {
            firsts[i] = firstGap(crews[i], from, slots);
        }
        for (int next = soonest(crews.length); next >= 0; next = soonest(crews.length)) {
            int first = firsts[next];
            if (bestCrew != null && first + slots > bestEnd) {
                return;
            }
            firsts[next] = SlotWindows.NEVER;
            place = next * stations.length;
            if (begin(crews[next], slots, first, from)) {
                for (int someStation : stations) {
                    if (!noBetter(begun, begun + slots)) {
                        again();
                        if (earliest(task, someStation, begun, endNotBefore, bestEnd) && better()) {
                            keep();
                        }
                    }
                    place++;
                }
            }
        }
    }

    /** Of the crews not tried yet, the one that is free first; −1 where there is none that ever is. */
    private int soonest(int count) {
        int soonest = -1;
        int least = SlotWindows.NEVER;
        for (int i = 0; i < count; i++) {
            if (firsts[i] < least) {
                least = firsts[i];
                soonest = i;
            }
        }
        return soonest;
    }

    /** The first slot at which each of the crew, taken alone, is free for so much work. */
    private int firstGap(Crew someCrew, int from, int slots) {
        int latest = from;
        for (int pool : someCrew.pools) {
            Gaps gaps = taken.gaps[pool];
            if (gaps != null) {
                if (firstGap[pool] == UNKNOWN) {
                    firstGap[pool] = gaps.next(from, slots);
                    firstGapAt[pool] = gaps.found();
                }
                latest = Math.max(latest, firstGap[pool]);
            }
        }
        return latest;
    }

    /** Begins a crew where all of it is free for so much work; false where that is never, or too late. */
    private boolean begin(Crew someCrew, int slots, int first, int from) {
        crew = someCrew;
        work = slots;
        start = first;
        int busy = -1;
        for (int pool : crew.pools) {
            gapAt[pool] = firstGapAt[pool];
            busy = busy < 0 && taken.gaps[pool] != null && firstGap[pool] == first ? pool : busy;
        }
        if (first > from) {
            cause.set(Cause.PERSON_BUSY, UNKNOWN, busy, first);
        } else {
            cause.set(Cause.NOTHING, -1, -1, 0);
        }
        if (crew.pools.length > 1 && !toGap(bestEnd)) {
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
    private void again() {
        cause.set(begunCause);
        for (int pool : crew.pools) {
            Gaps gaps = taken.gaps[pool];
            gapAt[pool] = begunAt[pool];
            freeTo[pool] = gaps == null ? UNKNOWN : gaps.endOf(gapAt[pool]);
        }
    }

    /** As {@link #best}, but only a start at just this slot counts; the earliest other one is the second result. */
    void exactly(Task.JobTask task, int slots, Crew[] crews, int[] stations, int slot, int endNotBefore, Cause later) {
        bestCrew = null;
        bestEnd = SlotWindows.NEVER;
        int laterEnd = SlotWindows.NEVER;
        later.set(Cause.SHIFT, -1, -1, 0);
        place = 0;
        for (Crew someCrew : crews) {
            for (int someStation : stations) {
                place++;
                for (int pool : someCrew.pools) {
                    freeTo[pool] = UNKNOWN;
                    gapAt[pool] = 0;
                }
                crew = someCrew;
                work = slots;
                start = slot;
                cause.set(Cause.NOTHING, -1, -1, 0);
                boolean free = crew.pools.length == 1 || toGap(SlotWindows.NEVER);
                if (free && earliest(task, someStation, start, endNotBefore, SlotWindows.NEVER)) {
                    if (start == slot && better()) {
                        keep();
                    } else if (start != slot && end < laterEnd) {
                        laterEnd = end;
                        if (cause.kind != Cause.NOTHING) {
                            resolve(cause);
                            later.set(cause);
                        }
                    }
                }
            }
        }
    }

    /**
     * Ends sooner, then starts sooner; then what somebody else could have done is the weaker reason, so that a start
     * is explained by what holds whoever does the work.
     */
    private boolean better() {
        if (bestCrew == null || end != bestEnd) {
            return bestCrew == null || end < bestEnd;
        }
        if (start != bestStart) {
            return start < bestStart;
        }
        boolean personal = Cause.personal(cause.kind);
        return personal == Cause.personal(bestCause.kind) ? preferred() : !personal;
    }

    /** Whether of two places that are equally good it is this one that is kept, not the best. */
    private boolean preferred() {
        return place < bestPlace != lastOfEquals;
    }

    /** Whether a place that neither starts nor ends before these slots cannot be better than the best. */
    private boolean noBetter(int first, int last) {
        return bestCrew != null
                && (last > bestEnd
                        || last == bestEnd
                                && (first > bestStart
                                        || first == bestStart && !preferred() && !Cause.personal(bestCause.kind)));
    }

    private void keep() {
        bestCrew = crew;
        bestPlace = place;
        bestStation = station;
        bestStart = start;
        bestEnd = end;
        resolve(cause);
        bestCause.set(cause);
    }

    /** Looks up whose work a gap comes after, which is only asked where it matters. */
    private void resolve(Cause of) {
        if (of.ref == UNKNOWN) {
            of.ref = taken.pools[of.aux].endedBefore(of.until);
        }
    }

    /** The earliest place of the present crew at a station, from where all of it is free for so much work. */
    private boolean earliest(Task.JobTask task, int someStation, int from, int endNotBefore, int latestEnd) {
        job = task;
        station = someStation;
        hours = crew.hours(station, model.mirror);
        cure = job.cureHold() >= 0 ? job.cure() : 0;
        endFrom = endNotBefore;
        start = from;
        for (boolean more = true; more; more = toGap(latestEnd)) {
            if (!advance()) {
                return false;
            }
            if (end > latestEnd || latestEnd == bestEnd && noBetter(start, end)) {
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

    /** Moves the start to where each of the crew is free for long enough; false where that is never, or too late. */
    private boolean toGap(int latestEnd) {
        int agreed = 0;
        for (int i = 0; agreed < crew.pools.length; i = i + 1 < crew.pools.length ? i + 1 : 0) {
            int pool = crew.pools[i];
            Gaps gaps = taken.gaps[pool];
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
                cause.set(Cause.PERSON_BUSY, UNKNOWN, pool, free);
                start = free;
                agreed = 1;
            }
        }
        return true;
    }

    /** Leave of one of the crew between two slots is what moved the start, if somebody would have been in. */
    private void noteLeave(int from, int open) {
        if (model.mirror) {
            return;
        }
        for (int pool : crew.pools) {
            int person = model.pools.anyOf(pool);
            SlotWindows leave = model.calendars.onLeave(person);
            if (!leave.isEmpty() && leave.opensWithin(from, open)) {
                int back = model.calendars.person(person).next(leave.next(from));
                cause.set(Cause.PERSON_AWAY, person, -1, Math.min(back, model.slots));
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
            Usage usage = taken.pools[pool];
            int size = model.pools.size(pool);
            int most = size - crew.counts[i];
            int step = usage.crowded(usage.stepAt(start), end, most);
            while (step >= 0) {
                int relief = usage.relieved(step, most);
                int until = usage.slotOf(relief);
                // Someone alone is only taken while at work; a larger pool from the start of a job to its end.
                int clash = size > 1 ? start : hours.next(Math.max(usage.slotOf(step), start));
                if (clash < Math.min(until, end)) {
                    start = until;
                    cause.set(Cause.PERSON_BUSY, usage.endedAt(relief), pool, until);
                    return true;
                }
                step = usage.crowded(relief, end, most);
            }
        }
        return false;
    }

    private boolean stationTaken() {
        Stays stays = taken.stations[station];
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
        cause.set(Cause.STATION_TAKEN, stays.owner(last), station, start);
        return true;
    }

    private boolean carTaken() {
        Stays claims = taken.cars[job.build()];
        int claim = claims.conflict(start, end, job.hold(), job.zone(), station);
        if (claim < 0) {
            return false;
        }
        start = claims.end(claim);
        cause.set(Cause.CAR_CLAIMED, claims.owner(claim), claims.who(claim), start);
        return true;
    }

    private boolean zoneFull() {
        Usage usage = taken.zone(job.build(), job.zone());
        int most = job.zoneLimit() - crew.hands;
        for (int w = window; w < hours.count() && hours.startOf(w) < end; w++) {
            int from = Math.max(start, hours.startOf(w));
            int step = usage.crowded(usage.stepAt(from), Math.min(end, hours.endOf(w)), most);
            if (step >= 0) {
                int relief = usage.relieved(step, most);
                start = usage.slotOf(relief);
                cause.set(Cause.ZONE_FULL, usage.endedAt(relief), -1, start);
                return true;
            }
        }
        return false;
    }

    /** Curing must not run into work that is placed later on; then this must end after that work does. */
    private boolean cureTaken() {
        Stays claims = taken.cars[job.build()];
        int claim = claims.conflict(end, end + cure, job.cureHold(), job.zone(), -1);
        if (claim < 0) {
            return false;
        }
        endFrom = claims.end(claim);
        cause.set(Cause.CURES_INTO, claims.owner(claim), -1, endFrom);
        return true;
    }
}
