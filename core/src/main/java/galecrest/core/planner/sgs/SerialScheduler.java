package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.ActivityFactory;
import galecrest.core.planner.problem.CarClaim;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * Serial schedule generation (Kelley, 1963; Kolisch, 1996): the nodes of a list one after another, each at the
 * earliest place that breaks no rule. One object makes many schedules, each over the one before; {@link #keep} copies
 * what is to last.
 */
public final class SerialScheduler {
    public final SchedulingProblem problem;
    /** Start, end and readiness of each node in slots; a start of {@link WorkingWindows#NEVER} is not planned. */
    public final int[] start;

    public final int[] end;
    public final int[] ready;
    public final @Nullable CrewMode[] crew;
    public final int[] station;
    /** The drives of running-in, as pairs of slots. */
    public final int[] @Nullable [] drives;

    /** The pool of who drives. */
    public final int[] driver;

    public final boolean[] slotMissed;
    /** What bound each start. */
    public final BindingConstraint[] cause;
    /** Why an exact start, or what people were told, could not be; kind {@link BindingConstraint#NOTHING} where it could. */
    public final @Nullable BindingConstraint[] missed;
    /** Why a node is not planned; null with {@link #waitsFor} for what follows it. */
    public final @Nullable String[] whyNot;

    public final int[] waitsFor;
    /** Of jobs in one go in a trial: whether it did not fit into the hours of who was to do it. */
    public final boolean[] overran;
    /** See {@link Decisions}. */
    public boolean[] choices;
    /** The list that the schedule was made of. */
    public int[] order;

    private final ResourceState taken;
    private final ModeSelection jobs;
    private final OutworkPlacement trips;
    private final RunningInPlacement drivesFit;
    private final StayOn stayOn;
    private final BindingConstraint startCause = new BindingConstraint();
    private final BindingConstraint endCause = new BindingConstraint();
    private final BindingConstraint roomCause = new BindingConstraint();
    private int startSlot;
    private int endSlot;

    public SerialScheduler(SchedulingProblem problem) {
        this.problem = problem;
        int size = problem.size;
        start = new int[size];
        end = new int[size];
        ready = new int[size];
        crew = new CrewMode[size];
        station = new int[size];
        drives = new int[size][];
        driver = new int[size];
        slotMissed = new boolean[size];
        cause = new BindingConstraint[size];
        missed = new BindingConstraint[size];
        whyNot = new String[size];
        waitsFor = new int[size];
        overran = new boolean[size];
        Arrays.setAll(cause, i -> new BindingConstraint());
        for (int node = 0; node < size; node++) {
            if (problem.activities[node] instanceof Activity.JobActivity job
                    && (job.exactly() != null || job.told() != null)) {
                missed[node] = new BindingConstraint();
            }
        }
        choices = Decisions.none(problem);
        order = new int[0];
        taken = new ResourceState(problem);
        jobs = new ModeSelection(problem, taken);
        trips = new OutworkPlacement(problem, taken);
        drivesFit = new RunningInPlacement(problem, taken);
        stayOn = new StayOn(problem, taken);
    }

    public boolean planned(int node) {
        return start[node] != WorkingWindows.NEVER;
    }

    /** The node that made this one wait; −1 where none did. */
    public int blocker(int node) {
        BindingConstraint why = cause[node];
        if (why.kind.taken()) {
            return why.ref < problem.size ? why.ref : -1;
        }
        if (why.kind == BindingConstraint.Kind.VENDOR_SHUT) {
            return why.aux;
        }
        return why.kind == BindingConstraint.Kind.AFTER ? problem.before[node][why.ref].from() : -1;
    }

    /** Makes the schedule of a list in which no node comes before one that it follows. */
    public void generate(int[] list, boolean[] picked) {
        begin(list, picked);
        for (int node : list) {
            place(node);
        }
    }

    /** Asked after each node that is placed, whether the schedule is worth going on with. */
    public interface Limit {
        boolean allows(SerialScheduler schedule, int node);
    }

    /** The same, but left unfinished as soon as the limit says so; then false. */
    public boolean generate(int[] list, boolean[] picked, Limit limit) {
        begin(list, picked);
        for (int node : list) {
            place(node);
            if (!limit.allows(this, node)) {
                return false;
            }
        }
        return true;
    }

    private void begin(int[] list, boolean[] picked) {
        order = list;
        choices = picked;
        taken.clear(problem.shortestWork());
        for (int[] claim : problem.stillCuring) {
            taken.cars[claim[0]].add(0, claim[3], claim[1], claim[2], -1, claim[4]);
        }
    }

    private void place(int node) {
        start[node] = WorkingWindows.NEVER;
        whyNot[node] = null;
        slotMissed[node] = false;
        crew[node] = null;
        station[node] = -1;
        startSlot = 0;
        endSlot = 0;
        startCause.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        endCause.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        if (problem.boundSlot[node] > 0) {
            startSlot = problem.boundSlot[node];
            startCause.set(BindingConstraint.Kind.BOUND, problem.boundIndex[node], -1, startSlot);
        }
        if (problem.waits[node] > startSlot) {
            startSlot = problem.waits[node];
            startCause.set(BindingConstraint.Kind.TOLD, -1, -1, startSlot);
        }
        ActivityNetwork.Arc[] arcs = problem.before[node];
        for (int i = 0; i < arcs.length; i++) {
            if (!follow(node, arcs[i], i)) {
                return;
            }
        }
        Activity activity = problem.activities[node];
        if (activity instanceof Activity.JobActivity job) {
            place(node, job);
        } else if (activity instanceof Activity.TripActivity trip) {
            place(node, trip);
        } else if (activity instanceof Activity.DriveActivity drive) {
            place(node, drive);
        } else {
            place(node, (Activity.BlockActivity) activity);
        }
    }

    /** Applies an arc to the start; false where its other end is not planned, so neither can this node be. */
    private boolean follow(int node, ActivityNetwork.Arc arc, int index) {
        if (arc.risk() >= 0 && choices[arc.risk()]) {
            return true;
        }
        int from = arc.from();
        if (!planned(from)) {
            waitsFor[node] = from;
            return false;
        }
        int slot = bound(arc);
        if (arc.type() == Link.Type.FINISH_FINISH) {
            if (slot > endSlot) {
                endSlot = slot;
                endCause.set(BindingConstraint.Kind.AFTER, index, -1, slot);
            }
        } else if (slot > startSlot) {
            startSlot = slot;
            startCause.set(BindingConstraint.Kind.AFTER, index, -1, slot);
        }
        return true;
    }

    /** The slot before which the arc lets nothing start (or end). */
    int bound(ActivityNetwork.Arc arc) {
        int from = arc.from();
        int slot =
                switch (arc.type()) {
                    case FINISH_START -> ready[from];
                    case START_START -> start[from];
                    case FINISH_FINISH -> end[from];
                };
        return problem.lagged(slot, arc);
    }

    /** From when on what comes before it, and its own bounds, would let the node start; NEVER where something is not
     * planned. */
    public int free(int node) {
        int slot = problem.boundSlot[node];
        for (ActivityNetwork.Arc arc : problem.before[node]) {
            boolean counts = arc.type() != Link.Type.FINISH_FINISH && !(arc.risk() >= 0 && choices[arc.risk()]);
            if (counts && !planned(arc.from())) {
                return WorkingWindows.NEVER;
            }
            slot = counts ? Math.max(slot, bound(arc)) : slot;
        }
        return slot;
    }

    /** Whether the node goes ahead of an at-risk link. */
    public boolean startsEarly(ActivityNetwork.Arc arc) {
        if (arc.risk() < 0 || !choices[arc.risk()] || !planned(arc.to())) {
            return false;
        }
        int at = arc.type() == Link.Type.FINISH_FINISH ? end[arc.to()] : start[arc.to()];
        return !planned(arc.from()) || bound(arc) > at;
    }

    /** Sets the reason for a start that nothing taken moved: by its bound, by its end's bound, or by the hours. */
    private void plainCause(int node, int plainEnd) {
        if (plainEnd < endSlot) {
            cause[node].set(endCause);
        } else if (startSlot == 0 && start[node] > 0) {
            cause[node].set(BindingConstraint.Kind.SHIFT, -1, -1, 0);
        } else {
            cause[node].set(startCause);
        }
    }

    private void place(int node, Activity.JobActivity job) {
        if (job.never() != null) {
            whyNot[node] = job.never();
            return;
        }
        int work = problem.work[node];
        jobs.lastOfEquals = Decisions.byOthers(problem, choices, node);
        CrewMode[] crews = jobs.lastOfEquals ? problem.listedCrews[node] : problem.crews[node];
        int[] stations = jobs.lastOfEquals ? problem.listedStations[node] : problem.stations[node];
        if (job.exactly() != null && exactly(node, job, work) || staysAsTold(node, job) && asTold(node, job, work)) {
            return;
        }
        overran[node] = false;
        if (problem.stayOn >= 0 && job.oneGo() && work > problem.planned[node]) {
            placeOverrun(node, job, work, crews[0], stations[0]);
            return;
        }
        jobs.best(job, work, crews, stations, startSlot, endSlot);
        if (jobs.bestCrew != null && waitsAsTold(node, jobs.bestStart)) {
            jobs.best(job, work, crews, stations, startSlot, endSlot);
        }
        if (jobs.bestCrew == null) {
            whyNot[node] = ActivityFactory.noRoom((Job) problem.network.works.get(node));
            return;
        }
        if (job.oneGo() && job.high() > work && crews.length > 1 && !problem.mirror) {
            preferRoom(job, work, crews, stations);
        }
        take(node, job);
        jobCause(node, work);
        redo(node, job);
    }

    /**
     * Of crews for a job in one go, rather one whose day is long enough also for the high estimate: where the best has not
     * the room, another that has it is taken, if that costs no more time than running over would.
     */
    private void preferRoom(Activity.JobActivity job, int work, CrewMode[] crews, int[] stations) {
        CrewMode best = jobs.bestCrew;
        int there = jobs.bestStation;
        int start = jobs.bestStart;
        int end = jobs.bestEnd;
        if (start + job.high() <= best.hours(there, false).windowEnd(start)) {
            return;
        }
        roomCause.set(jobs.bestCause);
        jobs.best(job, job.high(), crews, stations, startSlot, endSlot);
        if (jobs.bestCrew != null && jobs.bestCrew != best && jobs.bestStart + work <= end + job.high() - work) {
            int roomy = jobs.bestStart;
            jobs.best(job, work, new CrewMode[] {jobs.bestCrew}, new int[] {jobs.bestStation}, startSlot, endSlot);
            if (jobs.bestCrew != null && jobs.bestStart == roomy) {
                return;
            }
        }
        jobs.keep(best, there, start, end);
        jobs.bestCause.set(roomCause);
    }

    /**
     * Places a job in one go that takes longer than was planned. Nobody knows that when it is begun: it begins where it
     * would have with the planned work, and those who do it stay on as far as the house allows. Where that does not do, it
     * is begun again where it fits, next morning or by another qualified crew, whichever ends first; where nobody's day is
     * long enough, they stay until it is done.
     */
    private void placeOverrun(int node, Activity.JobActivity job, int work, CrewMode crew, int there) {
        CrewMode[] only = {crew};
        int[] at = {there};
        jobs.best(job, problem.planned[node], only, at, startSlot, endSlot);
        int begun = jobs.bestCrew == null ? WorkingWindows.NEVER : jobs.bestStart;
        jobs.best(job, work, only, at, startSlot, endSlot);
        boolean fits = jobs.bestCrew != null && jobs.bestStart == begun;
        if (!fits) {
            overran[node] = true;
            if (stayOn.find(job, work, crew, there, startSlot, endSlot, problem.stayOn)
                    && (jobs.bestCrew == null || stayOn.end < jobs.bestEnd)) {
                jobs.keep(crew, there, stayOn.start, stayOn.end);
            } else {
                jobs.best(job, work, problem.listedCrews[node], problem.listedStations[node], startSlot, endSlot);
            }
            if (jobs.bestCrew == null && stayOn.find(job, work, crew, there, startSlot, endSlot, problem.slots)) {
                jobs.keep(crew, there, stayOn.start, stayOn.end);
            }
        }
        if (jobs.bestCrew == null) {
            whyNot[node] = ActivityFactory.noRoom((Job) problem.network.works.get(node));
            return;
        }
        take(node, job);
        jobCause(node, problem.planned[node]);
        redo(node, job);
    }

    /**
     * Does again what was started ahead of an at-risk link that turned out wrong: by the same crew at the same station, once
     * the risk is known.
     */
    private void redo(int node, Activity.JobActivity job) {
        ActivityNetwork.Arc[] arcs = problem.before[node];
        for (int i = 0; i < arcs.length; i++) {
            int slots = arcs[i].risk() < 0 ? 0 : problem.rework[arcs[i].risk()];
            if (slots > 0 && startsEarly(arcs[i])) {
                redo(node, job, i, slots);
            }
        }
    }

    private void redo(int node, Activity.JobActivity job, int arc, int slots) {
        int first = start[node];
        int from = end[node];
        boolean waits = planned(problem.before[node][arc].from()) && bound(problem.before[node][arc]) > from;
        CrewMode[] only = {crew[node]};
        int[] at = {station[node]};
        jobs.best(job, slots, only, at, waits ? bound(problem.before[node][arc]) : from, 0);
        if (jobs.bestCrew == null && job.oneGo() && stayOn.find(job, slots, only[0], at[0], from, 0, problem.slots)) {
            overran[node] = true;
            jobs.keep(only[0], at[0], stayOn.start, stayOn.end);
        }
        if (jobs.bestCrew == null) {
            start[node] = WorkingWindows.NEVER;
            whyNot[node] = ActivityFactory.noRoom((Job) problem.network.works.get(node));
            return;
        }
        take(node, job);
        start[node] = first;
        if (waits) {
            cause[node].set(BindingConstraint.Kind.AFTER, arc, -1, bound(problem.before[node][arc]));
        }
    }

    /** Whether the node could start sooner than people were told but keeps to that; then that bounds it. */
    private boolean waitsAsTold(int node, int could) {
        if (!Decisions.keeps(problem, choices, node) || problem.told[node] <= could) {
            return false;
        }
        startSlot = problem.told[node];
        startCause.set(BindingConstraint.Kind.TOLD, -1, -1, startSlot);
        return true;
    }

    private boolean staysAsTold(int node, Activity.JobActivity job) {
        return job.told() != null && (job.told().frozen() || Decisions.keeps(problem, choices, node));
    }

    private void jobCause(int node, int work) {
        if (jobs.bestCause.kind != BindingConstraint.Kind.NOTHING) {
            cause[node].set(jobs.bestCause);
            return;
        }
        WorkingWindows hours = jobs.bestCrew.hours(jobs.bestStation, problem.mirror);
        plainCause(node, endSlot == 0 ? WorkingWindows.NEVER : hours.finish(hours.next(startSlot), work));
    }

    private boolean exactly(int node, Activity.JobActivity job, int work) {
        BindingConstraint why = missed[node];
        int slot = job.exactly().slot();
        if (slot < startSlot) {
            why.set(startCause);
            why.kind = startSlot == 0 ? BindingConstraint.Kind.PASSED : why.kind;
            return false;
        }
        jobs.exactly(
                job,
                work,
                jobs.lastOfEquals ? problem.listedCrews[node] : problem.crews[node],
                jobs.lastOfEquals ? problem.listedStations[node] : problem.stations[node],
                slot,
                endSlot,
                why);
        if (jobs.bestCrew == null) {
            return false;
        }
        why.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        take(node, job);
        cause[node].set(BindingConstraint.Kind.PINNED, -1, -1, slot);
        return true;
    }

    /** Keeps to what people were told of the frozen days, unless that cannot be. */
    private boolean asTold(int node, Activity.JobActivity job, int work) {
        Activity.Told told = job.told();
        // Where there is a pin to an exact start, it is that which was missed.
        BindingConstraint why = job.exactly() == null ? missed[node] : new BindingConstraint();
        if (told.slot() < startSlot) {
            why.set(startCause);
            return false;
        }
        CrewMode[] only = {told.crew()};
        int[] there = {told.station()};
        jobs.best(job, work, only, there, startSlot, endSlot);
        boolean alsoFirst = jobs.bestCrew != null && jobs.bestStart == told.slot();
        if (!alsoFirst) {
            jobs.exactly(job, work, only, there, told.slot(), endSlot, why);
            if (jobs.bestCrew == null) {
                return false;
            }
        }
        why.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        take(node, job);
        if (alsoFirst) {
            jobCause(node, work);
        } else {
            cause[node].set(BindingConstraint.Kind.TOLD, -1, -1, told.slot());
        }
        return true;
    }

    /** Takes what the job's place uses. */
    private void take(int node, Activity.JobActivity job) {
        CrewMode who = jobs.bestCrew;
        int from = jobs.bestStart;
        int to = jobs.bestEnd;
        start[node] = from;
        end[node] = to;
        ready[node] = problem.mirror ? to : to + job.cure();
        crew[node] = who;
        station[node] = jobs.bestStation;
        WorkingWindows hours = who.hours(jobs.bestStation, problem.mirror);
        ResourceProfile zone = job.onCar() ? taken.zone(job.build(), job.zone()) : null;
        for (int i = 0; i < who.pools.length; i++) {
            if (problem.pools.size(who.pools[i]) > 1) {
                taken.pools[who.pools[i]].add(from, to, who.counts[i], node);
            }
        }
        for (int w = hours.windowAfter(from); w < hours.count() && hours.startOf(w) < to; w++) {
            int a = Math.max(from, hours.startOf(w));
            int b = overran[node] ? to : Math.min(to, hours.endOf(w));
            for (int i = 0; i < who.pools.length; i++) {
                if (problem.pools.size(who.pools[i]) == 1) {
                    taken.busy(who.pools[i], a, b, node);
                }
            }
            if (zone != null) {
                zone.add(a, b, who.hands, node);
            }
            if (overran[node]) {
                break;
            }
        }
        if (station[node] >= 0) {
            taken.stations[station[node]].add(from, to, job.build(), 0, 0, node);
        }
        if (job.onCar()) {
            Occupancy claims = taken.cars[job.build()];
            claims.add(from, to, job.hold(), job.zone(), station[node], node);
            if (job.cureHold() >= 0 && job.cure() > 0 && !problem.mirror) {
                claims.add(to, to + job.cure(), job.cureHold(), job.zone(), -1, node);
            }
        }
    }

    private void place(int node, Activity.TripActivity trip) {
        boolean found = trips.find(trip, node, startSlot, endSlot);
        if (found && !trip.away() && waitsAsTold(node, trips.leaves)) {
            found = trips.find(trip, node, startSlot, endSlot);
        }
        if (!found) {
            whyNot[node] = trips.whyNot;
            return;
        }
        start[node] = trips.leaves;
        end[node] = trips.back;
        ready[node] = trips.ready;
        slotMissed[node] = trips.slotMissed;
        if (trip.away()) {
            cause[node].set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        } else if (trip.exactly() != null && trips.leaves == trip.exactly().slot()) {
            cause[node].set(BindingConstraint.Kind.PINNED, -1, -1, 0);
        } else if (trips.cause.kind != BindingConstraint.Kind.NOTHING) {
            cause[node].set(trips.cause);
            if (trips.cause.kind == BindingConstraint.Kind.VENDOR_SHUT
                    && startCause.kind == BindingConstraint.Kind.AFTER) {
                cause[node].aux = problem.before[node][startCause.ref].from();
            }
        } else {
            plainCause(node, trips.back);
        }
        if (trip.wholeCar()) {
            int from = trip.away() ? Math.min(trips.leaves, 0) : trips.leaves;
            taken.cars[trip.build()].add(from, trips.ready, CarClaim.AWAY, 0, -1, node);
        }
    }

    private void place(int node, Activity.DriveActivity activity) {
        int from = activity.exactly() == null
                ? startSlot
                : Math.max(startSlot, activity.exactly().slot());
        boolean found = drivesFit.find(activity, from, endSlot);
        if (found && Decisions.keeps(problem, choices, node) && activity.exactly() == null) {
            boolean waits = waitsAsTold(node, drivesFit.stretches[0]);
            found = drivesFit.asTold(activity, from, endSlot)
                    || !waits
                    || drivesFit.find(activity, Math.max(from, startSlot), endSlot);
        }
        if (!found) {
            whyNot[node] = "Nobody with the skill " + activity.skill()
                    + " has room for the drives within the time that is planned ahead.";
            return;
        }
        int[] stretches = drivesFit.stretches;
        drives[node] = stretches;
        start[node] = stretches[0];
        end[node] = stretches[stretches.length - 1];
        ready[node] = end[node];
        for (int i = 0; i < stretches.length; i += 2) {
            taken.busy(drivesFit.driver, stretches[i], stretches[i + 1], node);
            taken.cars[activity.build()].add(stretches[i], stretches[i + 1], CarClaim.AWAY, 0, -1, node);
        }
        driver[node] = drivesFit.driver;
        if (activity.exactly() != null && start[node] == activity.exactly().slot()) {
            cause[node].set(BindingConstraint.Kind.PINNED, -1, -1, 0);
        } else if (drivesFit.cause.kind != BindingConstraint.Kind.NOTHING) {
            cause[node].set(drivesFit.cause);
        } else {
            plainCause(node, end[node]);
        }
    }

    private void place(int node, Activity.BlockActivity block) {
        int from = Math.max(startSlot, endSlot - block.length());
        if (block.claims()) {
            Occupancy claims = taken.cars[block.build()];
            for (int claim; (claim = claims.conflict(from, from + block.length(), CarClaim.AWAY, 0, -1)) >= 0; ) {
                from = claims.end(claim);
            }
            claims.add(from, from + block.length(), CarClaim.AWAY, 0, -1, node);
        }
        start[node] = from;
        end[node] = from + block.length();
        ready[node] = end[node];
        cause[node].set(startCause);
    }
}
