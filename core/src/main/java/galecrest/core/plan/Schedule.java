package galecrest.core.plan;

import galecrest.core.build.Job;
import galecrest.core.build.Link;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * Serial schedule generation (Kelley, 1963; Kolisch, 1996): the nodes of a list one after another, each at the
 * earliest place that breaks no rule. One object makes many schedules, each over the one before; {@link #keep} copies
 * what is to last.
 */
final class Schedule {
    final Model model;
    /** Start, end and readiness of each node in slots; a start of {@link SlotWindows#NEVER} is not planned. */
    final int[] start;

    final int[] end;
    final int[] ready;
    final @Nullable Crew[] crew;
    final int[] station;
    /** The drives of running-in, as pairs of slots. */
    final int[] @Nullable [] drives;

    /** The pool of who drives. */
    final int[] driver;

    final boolean[] slotMissed;
    /** What bound each start. */
    final Cause[] cause;
    /** Why an exact start, or what people were told, could not be; kind {@link Cause#NOTHING} where it could. */
    final @Nullable Cause[] missed;
    /** Why a node is not planned; null with {@link #waitsFor} for what follows it. */
    final @Nullable String[] whyNot;

    final int[] waitsFor;
    /** Of jobs in one go in a trial: whether it did not fit into the hours of who was to do it. */
    final boolean[] overran;
    /** See {@link Choices}. */
    boolean[] choices;
    /** The list that the schedule was made of. */
    int[] order;

    private final Taken taken;
    private final JobFit jobs;
    private final TripFit trips;
    private final DriveFit drivesFit;
    private final StayOn stayOn;
    private final Cause startCause = new Cause();
    private final Cause endCause = new Cause();
    private final Cause roomCause = new Cause();
    private int startSlot;
    private int endSlot;

    Schedule(Model model) {
        this.model = model;
        int size = model.size;
        start = new int[size];
        end = new int[size];
        ready = new int[size];
        crew = new Crew[size];
        station = new int[size];
        drives = new int[size][];
        driver = new int[size];
        slotMissed = new boolean[size];
        cause = new Cause[size];
        missed = new Cause[size];
        whyNot = new String[size];
        waitsFor = new int[size];
        overran = new boolean[size];
        Arrays.setAll(cause, i -> new Cause());
        for (int node = 0; node < size; node++) {
            if (model.tasks[node] instanceof Task.JobTask job && (job.exactly() != null || job.told() != null)) {
                missed[node] = new Cause();
            }
        }
        choices = Choices.none(model);
        order = new int[0];
        taken = new Taken(model);
        jobs = new JobFit(model, taken);
        trips = new TripFit(model, taken);
        drivesFit = new DriveFit(model, taken);
        stayOn = new StayOn(model, taken);
    }

    boolean planned(int node) {
        return start[node] != SlotWindows.NEVER;
    }

    /** The node that made this one wait; −1 where none did. */
    int blocker(int node) {
        Cause why = cause[node];
        if (why.kind.taken()) {
            return why.ref < model.size ? why.ref : -1;
        }
        if (why.kind == Cause.Kind.VENDOR_SHUT) {
            return why.aux;
        }
        return why.kind == Cause.Kind.AFTER ? model.before[node][why.ref].from() : -1;
    }

    /** Makes the schedule of a list in which no node comes before one that it follows. */
    void generate(int[] list, boolean[] picked) {
        begin(list, picked);
        for (int node : list) {
            place(node);
        }
    }

    /** Asked after each node that is placed, whether the schedule is worth going on with. */
    interface Limit {
        boolean allows(Schedule schedule, int node);
    }

    /** The same, but left unfinished as soon as the limit says so; then false. */
    boolean generate(int[] list, boolean[] picked, Limit limit) {
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
        taken.clear(model.shortestWork());
        for (int[] claim : model.stillCuring) {
            taken.cars[claim[0]].add(0, claim[3], claim[1], claim[2], -1, claim[4]);
        }
    }

    private void place(int node) {
        start[node] = SlotWindows.NEVER;
        whyNot[node] = null;
        slotMissed[node] = false;
        crew[node] = null;
        station[node] = -1;
        startSlot = 0;
        endSlot = 0;
        startCause.set(Cause.Kind.NOTHING, -1, -1, 0);
        endCause.set(Cause.Kind.NOTHING, -1, -1, 0);
        if (model.boundSlot[node] > 0) {
            startSlot = model.boundSlot[node];
            startCause.set(Cause.Kind.BOUND, model.boundIndex[node], -1, startSlot);
        }
        if (model.waits[node] > startSlot) {
            startSlot = model.waits[node];
            startCause.set(Cause.Kind.TOLD, -1, -1, startSlot);
        }
        Network.Arc[] arcs = model.before[node];
        for (int i = 0; i < arcs.length; i++) {
            if (!follow(node, arcs[i], i)) {
                return;
            }
        }
        Task task = model.tasks[node];
        if (task instanceof Task.JobTask job) {
            place(node, job);
        } else if (task instanceof Task.TripTask trip) {
            place(node, trip);
        } else if (task instanceof Task.DriveTask drive) {
            place(node, drive);
        } else {
            place(node, (Task.BlockTask) task);
        }
    }

    /** Applies an arc to the start; false where its other end is not planned, so neither can this node be. */
    private boolean follow(int node, Network.Arc arc, int index) {
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
                endCause.set(Cause.Kind.AFTER, index, -1, slot);
            }
        } else if (slot > startSlot) {
            startSlot = slot;
            startCause.set(Cause.Kind.AFTER, index, -1, slot);
        }
        return true;
    }

    /** The slot before which the arc lets nothing start (or end). */
    int bound(Network.Arc arc) {
        int from = arc.from();
        int slot =
                switch (arc.type()) {
                    case FINISH_START -> ready[from];
                    case START_START -> start[from];
                    case FINISH_FINISH -> end[from];
                };
        return model.lagged(slot, arc);
    }

    /** From when on what comes before it, and its own bounds, would let the node start; NEVER where something is not
     * planned. */
    int free(int node) {
        int slot = model.boundSlot[node];
        for (Network.Arc arc : model.before[node]) {
            boolean counts = arc.type() != Link.Type.FINISH_FINISH && !(arc.risk() >= 0 && choices[arc.risk()]);
            if (counts && !planned(arc.from())) {
                return SlotWindows.NEVER;
            }
            slot = counts ? Math.max(slot, bound(arc)) : slot;
        }
        return slot;
    }

    /** Whether the node goes ahead of an at-risk link. */
    boolean startsEarly(Network.Arc arc) {
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
            cause[node].set(Cause.Kind.SHIFT, -1, -1, 0);
        } else {
            cause[node].set(startCause);
        }
    }

    private void place(int node, Task.JobTask job) {
        if (job.never() != null) {
            whyNot[node] = job.never();
            return;
        }
        int work = model.work[node];
        jobs.lastOfEquals = Choices.byOthers(model, choices, node);
        Crew[] crews = jobs.lastOfEquals ? model.listedCrews[node] : model.crews[node];
        int[] stations = jobs.lastOfEquals ? model.listedStations[node] : model.stations[node];
        if (job.exactly() != null && exactly(node, job, work) || staysAsTold(node, job) && asTold(node, job, work)) {
            return;
        }
        overran[node] = false;
        if (model.stayOn >= 0 && job.oneGo() && work > model.planned[node]) {
            placeOverrun(node, job, work, crews[0], stations[0]);
            return;
        }
        jobs.best(job, work, crews, stations, startSlot, endSlot);
        if (jobs.bestCrew != null && waitsAsTold(node, jobs.bestStart)) {
            jobs.best(job, work, crews, stations, startSlot, endSlot);
        }
        if (jobs.bestCrew == null) {
            whyNot[node] = Tasks.noRoom((Job) model.network.works.get(node));
            return;
        }
        if (job.oneGo() && job.high() > work && crews.length > 1 && !model.mirror) {
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
    private void preferRoom(Task.JobTask job, int work, Crew[] crews, int[] stations) {
        Crew best = jobs.bestCrew;
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
            jobs.best(job, work, new Crew[] {jobs.bestCrew}, new int[] {jobs.bestStation}, startSlot, endSlot);
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
    private void placeOverrun(int node, Task.JobTask job, int work, Crew crew, int there) {
        Crew[] only = {crew};
        int[] at = {there};
        jobs.best(job, model.planned[node], only, at, startSlot, endSlot);
        int begun = jobs.bestCrew == null ? SlotWindows.NEVER : jobs.bestStart;
        jobs.best(job, work, only, at, startSlot, endSlot);
        boolean fits = jobs.bestCrew != null && jobs.bestStart == begun;
        if (!fits) {
            overran[node] = true;
            if (stayOn.find(job, work, crew, there, startSlot, endSlot, model.stayOn)
                    && (jobs.bestCrew == null || stayOn.end < jobs.bestEnd)) {
                jobs.keep(crew, there, stayOn.start, stayOn.end);
            } else {
                jobs.best(job, work, model.listedCrews[node], model.listedStations[node], startSlot, endSlot);
            }
            if (jobs.bestCrew == null && stayOn.find(job, work, crew, there, startSlot, endSlot, model.slots)) {
                jobs.keep(crew, there, stayOn.start, stayOn.end);
            }
        }
        if (jobs.bestCrew == null) {
            whyNot[node] = Tasks.noRoom((Job) model.network.works.get(node));
            return;
        }
        take(node, job);
        jobCause(node, model.planned[node]);
        redo(node, job);
    }

    /**
     * Does again what was started ahead of an at-risk link that turned out wrong: by the same crew at the same station, once
     * the risk is known.
     */
    private void redo(int node, Task.JobTask job) {
        Network.Arc[] arcs = model.before[node];
        for (int i = 0; i < arcs.length; i++) {
            int slots = arcs[i].risk() < 0 ? 0 : model.rework[arcs[i].risk()];
            if (slots > 0 && startsEarly(arcs[i])) {
                redo(node, job, i, slots);
            }
        }
    }

    private void redo(int node, Task.JobTask job, int arc, int slots) {
        int first = start[node];
        int from = end[node];
        boolean waits = planned(model.before[node][arc].from()) && bound(model.before[node][arc]) > from;
        Crew[] only = {crew[node]};
        int[] at = {station[node]};
        jobs.best(job, slots, only, at, waits ? bound(model.before[node][arc]) : from, 0);
        if (jobs.bestCrew == null && job.oneGo() && stayOn.find(job, slots, only[0], at[0], from, 0, model.slots)) {
            overran[node] = true;
            jobs.keep(only[0], at[0], stayOn.start, stayOn.end);
        }
        if (jobs.bestCrew == null) {
            start[node] = SlotWindows.NEVER;
            whyNot[node] = Tasks.noRoom((Job) model.network.works.get(node));
            return;
        }
        take(node, job);
        start[node] = first;
        if (waits) {
            cause[node].set(Cause.Kind.AFTER, arc, -1, bound(model.before[node][arc]));
        }
    }

    /** Whether the node could start sooner than people were told but keeps to that; then that bounds it. */
    private boolean waitsAsTold(int node, int could) {
        if (!Choices.keeps(model, choices, node) || model.told[node] <= could) {
            return false;
        }
        startSlot = model.told[node];
        startCause.set(Cause.Kind.TOLD, -1, -1, startSlot);
        return true;
    }

    private boolean staysAsTold(int node, Task.JobTask job) {
        return job.told() != null && (job.told().frozen() || Choices.keeps(model, choices, node));
    }

    private void jobCause(int node, int work) {
        if (jobs.bestCause.kind != Cause.Kind.NOTHING) {
            cause[node].set(jobs.bestCause);
            return;
        }
        SlotWindows hours = jobs.bestCrew.hours(jobs.bestStation, model.mirror);
        plainCause(node, endSlot == 0 ? SlotWindows.NEVER : hours.finish(hours.next(startSlot), work));
    }

    private boolean exactly(int node, Task.JobTask job, int work) {
        Cause why = missed[node];
        int slot = job.exactly().slot();
        if (slot < startSlot) {
            why.set(startCause);
            why.kind = startSlot == 0 ? Cause.Kind.PASSED : why.kind;
            return false;
        }
        jobs.exactly(
                job,
                work,
                jobs.lastOfEquals ? model.listedCrews[node] : model.crews[node],
                jobs.lastOfEquals ? model.listedStations[node] : model.stations[node],
                slot,
                endSlot,
                why);
        if (jobs.bestCrew == null) {
            return false;
        }
        why.set(Cause.Kind.NOTHING, -1, -1, 0);
        take(node, job);
        cause[node].set(Cause.Kind.PINNED, -1, -1, slot);
        return true;
    }

    /** Keeps to what people were told of the frozen days, unless that cannot be. */
    private boolean asTold(int node, Task.JobTask job, int work) {
        Task.Told told = job.told();
        // Where there is a pin to an exact start, it is that which was missed.
        Cause why = job.exactly() == null ? missed[node] : new Cause();
        if (told.slot() < startSlot) {
            why.set(startCause);
            return false;
        }
        Crew[] only = {told.crew()};
        int[] there = {told.station()};
        jobs.best(job, work, only, there, startSlot, endSlot);
        boolean alsoFirst = jobs.bestCrew != null && jobs.bestStart == told.slot();
        if (!alsoFirst) {
            jobs.exactly(job, work, only, there, told.slot(), endSlot, why);
            if (jobs.bestCrew == null) {
                return false;
            }
        }
        why.set(Cause.Kind.NOTHING, -1, -1, 0);
        take(node, job);
        if (alsoFirst) {
            jobCause(node, work);
        } else {
            cause[node].set(Cause.Kind.TOLD, -1, -1, told.slot());
        }
        return true;
    }

    /** Takes what the job's place uses. */
    private void take(int node, Task.JobTask job) {
        Crew who = jobs.bestCrew;
        int from = jobs.bestStart;
        int to = jobs.bestEnd;
        start[node] = from;
        end[node] = to;
        ready[node] = model.mirror ? to : to + job.cure();
        crew[node] = who;
        station[node] = jobs.bestStation;
        SlotWindows hours = who.hours(jobs.bestStation, model.mirror);
        Usage zone = job.onCar() ? taken.zone(job.build(), job.zone()) : null;
        for (int i = 0; i < who.pools.length; i++) {
            if (model.pools.size(who.pools[i]) > 1) {
                taken.pools[who.pools[i]].add(from, to, who.counts[i], node);
            }
        }
        for (int w = hours.windowAfter(from); w < hours.count() && hours.startOf(w) < to; w++) {
            int a = Math.max(from, hours.startOf(w));
            int b = overran[node] ? to : Math.min(to, hours.endOf(w));
            for (int i = 0; i < who.pools.length; i++) {
                if (model.pools.size(who.pools[i]) == 1) {
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
            Stays claims = taken.cars[job.build()];
            claims.add(from, to, job.hold(), job.zone(), station[node], node);
            if (job.cureHold() >= 0 && job.cure() > 0 && !model.mirror) {
                claims.add(to, to + job.cure(), job.cureHold(), job.zone(), -1, node);
            }
        }
    }

    private void place(int node, Task.TripTask trip) {
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
            cause[node].set(Cause.Kind.NOTHING, -1, -1, 0);
        } else if (trip.exactly() != null && trips.leaves == trip.exactly().slot()) {
            cause[node].set(Cause.Kind.PINNED, -1, -1, 0);
        } else if (trips.cause.kind != Cause.Kind.NOTHING) {
            cause[node].set(trips.cause);
            if (trips.cause.kind == Cause.Kind.VENDOR_SHUT && startCause.kind == Cause.Kind.AFTER) {
                cause[node].aux = model.before[node][startCause.ref].from();
            }
        } else {
            plainCause(node, trips.back);
        }
        if (trip.wholeCar()) {
            int from = trip.away() ? Math.min(trips.leaves, 0) : trips.leaves;
            taken.cars[trip.build()].add(from, trips.ready, CarClaim.AWAY, 0, -1, node);
        }
    }

    private void place(int node, Task.DriveTask task) {
        int from = task.exactly() == null
                ? startSlot
                : Math.max(startSlot, task.exactly().slot());
        boolean found = drivesFit.find(task, from, endSlot);
        if (found && Choices.keeps(model, choices, node) && task.exactly() == null) {
            boolean waits = waitsAsTold(node, drivesFit.stretches[0]);
            found = drivesFit.asTold(task, from, endSlot)
                    || !waits
                    || drivesFit.find(task, Math.max(from, startSlot), endSlot);
        }
        if (!found) {
            whyNot[node] = "Nobody with the skill " + task.skill()
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
            taken.cars[task.build()].add(stretches[i], stretches[i + 1], CarClaim.AWAY, 0, -1, node);
        }
        driver[node] = drivesFit.driver;
        if (task.exactly() != null && start[node] == task.exactly().slot()) {
            cause[node].set(Cause.Kind.PINNED, -1, -1, 0);
        } else if (drivesFit.cause.kind != Cause.Kind.NOTHING) {
            cause[node].set(drivesFit.cause);
        } else {
            plainCause(node, end[node]);
        }
    }

    private void place(int node, Task.BlockTask block) {
        int from = Math.max(startSlot, endSlot - block.length());
        if (block.claims()) {
            Stays claims = taken.cars[block.build()];
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
