package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.ActivityFactory;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.work.Job;

/**
 * Places jobs: as pinned, as people were told, or by the mode that ends first; in a trial also those that take longer than
 * was planned or must be done again.
 */
final class JobPlacement {
    private final SchedulingProblem problem;
    private final Schedule schedule;
    private final StartWindow window;
    private final ResourceState taken;
    private final ModeSelection jobs;
    private final StayOn stayOn;
    private final BindingConstraint roomCause = new BindingConstraint();

    /** What becomes of a job that is to stay where it stood and cannot. */
    SerialScheduler.Displaced displaced = SerialScheduler.Displaced.ANYBODY;
    /** Whether it is noted why a job that stays as told could be no sooner; who only compares schedules does not ask. */
    boolean explains = true;
    /** Whether the last job was left without a place, to wait for the room that is left. */
    boolean lost;

    JobPlacement(Schedule schedule, StartWindow window, ResourceState taken) {
        problem = schedule.problem;
        this.schedule = schedule;
        this.window = window;
        this.taken = taken;
        jobs = new ModeSelection(problem, taken);
        stayOn = new StayOn(problem, taken);
    }

    void place(int node, Activity.JobActivity job) {
        lost = false;
        if (job.never() != null) {
            schedule.whyNot[node] = job.never();
            return;
        }
        int work = problem.work[node];
        jobs.lastOfEquals = Decisions.byOthers(problem, schedule.choices, node);
        CrewMode[] crews = jobs.lastOfEquals ? problem.listedCrews[node] : problem.crews[node];
        int[] stations = jobs.lastOfEquals ? problem.listedStations[node] : problem.stations[node];
        if (job.exactly() != null && exactly(node, job, work) || staysAsTold(node, job) && asTold(node, job, work)) {
            return;
        }
        lost = displaced == SerialScheduler.Displaced.WAITS && job.exactly() == null && staysAsTold(node, job);
        if (lost) {
            return;
        }
        if (displaced == SerialScheduler.Displaced.SLIDES && job.told() != null) {
            crews = new CrewMode[] {job.told().crew()};
            stations = new int[] {job.told().station()};
        }
        schedule.overran[node] = false;
        if (problem.stayOn >= 0 && job.oneGo() && work > problem.planned[node]) {
            placeOverrun(node, job, work, crews[0], stations[0]);
            return;
        }
        jobs.best(job, work, crews, stations, window.start, window.end);
        if (jobs.bestCrew != null && window.waitsAsTold(schedule, node, jobs.bestStart)) {
            jobs.best(job, work, crews, stations, window.start, window.end);
        }
        if (jobs.bestCrew == null) {
            schedule.whyNot[node] = ActivityFactory.noRoom((Job) problem.network.works.get(node));
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
        jobs.best(job, job.high(), crews, stations, window.start, window.end);
        if (jobs.bestCrew != null && jobs.bestCrew != best && jobs.bestStart + work <= end + job.high() - work) {
            int roomy = jobs.bestStart;
            jobs.best(
                    job, work, new CrewMode[] {jobs.bestCrew}, new int[] {jobs.bestStation}, window.start, window.end);
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
        jobs.best(job, problem.planned[node], only, at, window.start, window.end);
        int begun = jobs.bestCrew == null ? WorkingWindows.NEVER : jobs.bestStart;
        jobs.best(job, work, only, at, window.start, window.end);
        boolean fits = jobs.bestCrew != null && jobs.bestStart == begun;
        if (!fits) {
            schedule.overran[node] = true;
            if (stayOn.find(job, work, crew, there, window.start, window.end, problem.stayOn)
                    && (jobs.bestCrew == null || stayOn.end < jobs.bestEnd)) {
                jobs.keep(crew, there, stayOn.start, stayOn.end);
            } else {
                jobs.best(job, work, problem.listedCrews[node], problem.listedStations[node], window.start, window.end);
            }
            if (jobs.bestCrew == null && stayOn.find(job, work, crew, there, window.start, window.end, problem.slots)) {
                jobs.keep(crew, there, stayOn.start, stayOn.end);
            }
        }
        if (jobs.bestCrew == null) {
            schedule.whyNot[node] = ActivityFactory.noRoom((Job) problem.network.works.get(node));
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
            if (slots > 0 && schedule.startsEarly(arcs[i])) {
                redo(node, job, i, slots);
            }
        }
    }

    private void redo(int node, Activity.JobActivity job, int arc, int slots) {
        int first = schedule.start[node];
        int from = schedule.end[node];
        boolean waits =
                schedule.planned(problem.before[node][arc].from()) && schedule.bound(problem.before[node][arc]) > from;
        CrewMode[] only = {schedule.crew[node]};
        int[] at = {schedule.station[node]};
        jobs.best(job, slots, only, at, waits ? schedule.bound(problem.before[node][arc]) : from, 0);
        if (jobs.bestCrew == null && job.oneGo() && stayOn.find(job, slots, only[0], at[0], from, 0, problem.slots)) {
            schedule.overran[node] = true;
            jobs.keep(only[0], at[0], stayOn.start, stayOn.end);
        }
        if (jobs.bestCrew == null) {
            schedule.start[node] = WorkingWindows.NEVER;
            schedule.whyNot[node] = ActivityFactory.noRoom((Job) problem.network.works.get(node));
            return;
        }
        take(node, job);
        schedule.start[node] = first;
        if (waits) {
            schedule.cause[node].set(BindingConstraint.Kind.AFTER, arc, -1, schedule.bound(problem.before[node][arc]));
        }
    }

    private boolean staysAsTold(int node, Activity.JobActivity job) {
        return job.told() != null && (job.told().frozen() || Decisions.keeps(problem, schedule.choices, node));
    }

    private void jobCause(int node, int work) {
        if (jobs.bestCause.kind != BindingConstraint.Kind.NOTHING) {
            schedule.cause[node].set(jobs.bestCause);
            return;
        }
        WorkingWindows hours = jobs.bestCrew.hours(jobs.bestStation, problem.mirror);
        window.plainCause(
                schedule, node, window.end == 0 ? WorkingWindows.NEVER : hours.finish(hours.next(window.start), work));
    }

    private boolean exactly(int node, Activity.JobActivity job, int work) {
        BindingConstraint why = schedule.missed[node];
        int slot = job.exactly().slot();
        if (slot < window.start) {
            why.set(window.startCause);
            why.kind = window.start == 0 ? BindingConstraint.Kind.PASSED : why.kind;
            return false;
        }
        jobs.exactly(
                job,
                work,
                jobs.lastOfEquals ? problem.listedCrews[node] : problem.crews[node],
                jobs.lastOfEquals ? problem.listedStations[node] : problem.stations[node],
                slot,
                window.end,
                why);
        if (jobs.bestCrew == null) {
            return false;
        }
        why.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        take(node, job);
        schedule.cause[node].set(BindingConstraint.Kind.PINNED, -1, -1, slot);
        return true;
    }

    /** Keeps to what people were told of the frozen days, unless that cannot be. */
    private boolean asTold(int node, Activity.JobActivity job, int work) {
        Activity.Told told = job.told();
        // Where there is a pin to an exact start, it is that which was missed.
        BindingConstraint why = job.exactly() == null ? schedule.missed[node] : new BindingConstraint();
        if (told.slot() < window.start) {
            why.set(window.startCause);
            return false;
        }
        CrewMode[] only = {told.crew()};
        int[] there = {told.station()};
        if (!explains) {
            jobs.exactly(job, work, only, there, told.slot(), window.end, null);
            if (jobs.bestCrew != null) {
                take(node, job);
            }
            return jobs.bestCrew != null;
        }
        jobs.best(job, work, only, there, window.start, window.end);
        boolean alsoFirst = jobs.bestCrew != null && jobs.bestStart == told.slot();
        if (!alsoFirst) {
            jobs.exactly(job, work, only, there, told.slot(), window.end, why);
            if (jobs.bestCrew == null) {
                return false;
            }
        }
        why.set(BindingConstraint.Kind.NOTHING, -1, -1, 0);
        take(node, job);
        if (alsoFirst) {
            jobCause(node, work);
        } else {
            schedule.cause[node].set(BindingConstraint.Kind.TOLD, -1, -1, told.slot());
        }
        return true;
    }

    /** Takes what the job's place uses. */
    private void take(int node, Activity.JobActivity job) {
        CrewMode who = jobs.bestCrew;
        int from = jobs.bestStart;
        int to = jobs.bestEnd;
        schedule.start[node] = from;
        schedule.end[node] = to;
        schedule.ready[node] = problem.mirror ? to : to + job.cure();
        schedule.crew[node] = who;
        schedule.station[node] = jobs.bestStation;
        WorkingWindows hours = who.hours(jobs.bestStation, problem.mirror);
        ResourceProfile zone = job.onCar() ? taken.zone(job.build(), job.zone()) : null;
        for (int i = 0; i < who.pools.length; i++) {
            if (problem.pools.size(who.pools[i]) > 1) {
                taken.pools[who.pools[i]].add(from, to, who.counts[i], node);
            }
        }
        for (int w = hours.windowAfter(from); w < hours.count() && hours.startOf(w) < to; w++) {
            int a = Math.max(from, hours.startOf(w));
            int b = schedule.overran[node] ? to : Math.min(to, hours.endOf(w));
            for (int i = 0; i < who.pools.length; i++) {
                if (problem.pools.size(who.pools[i]) == 1) {
                    taken.busy(who.pools[i], a, b, node);
                }
            }
            if (zone != null) {
                zone.add(a, b, who.hands, node);
            }
            if (schedule.overran[node]) {
                break;
            }
        }
        if (schedule.station[node] >= 0) {
            taken.stations[schedule.station[node]].add(from, to, job.build(), 0, 0, node);
        }
        if (job.onCar()) {
            Occupancy claims = taken.cars[job.build()];
            claims.add(from, to, job.hold(), job.zone(), schedule.station[node], node);
            if (job.cureHold() >= 0 && job.cure() > 0 && !problem.mirror) {
                claims.add(to, to + job.cure(), job.cureHold(), job.zone(), -1, node);
            }
        }
    }
}
