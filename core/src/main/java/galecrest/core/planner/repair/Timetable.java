package galecrest.core.planner.repair;

import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CarClaim;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.work.Link;
import java.util.Arrays;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Where each piece of work has its place, by people, stations and cars, so that it can be looked up what is in the way of
 * a place. What it says is close enough to look for places by; whether these keep all rules is for the scheduler to say.
 */
final class Timetable {
    final SchedulingProblem problem;
    private final boolean[] choices;
    /** Of each node, whether it may be moved for another. */
    final boolean[] movable;
    /** Of each node, when it is done; null where it has no place. */
    final @Nullable Times[] times;
    /** Of each job, its place. */
    final @Nullable Place[] places;

    private final Lane[] people;
    private final Lane[] stations;
    private final Lane[] cars;

    /** From when to when work is done, and when it is ready, so that what follows may begin. */
    record Times(int start, int end, int ready) {}

    /** A place for a job: who does it, where and when. */
    record Place(int node, CrewMode crew, int station, Times at) {
        int start() {
            return at.start();
        }

        int end() {
            return at.end();
        }

        int ready() {
            return at.ready();
        }
    }

    /** @param choices whether at-risk links let work start early, see {@link galecrest.core.planner.problem.Decisions} */
    Timetable(SchedulingProblem problem, boolean[] choices) {
        this.problem = problem;
        this.choices = choices;
        movable = new boolean[problem.size];
        times = new Times[problem.size];
        places = new Place[problem.size];
        people = lanes(problem.pools.count());
        stations = lanes(problem.network.shop.stations().size());
        cars = lanes(problem.network.shop.builds().size());
        for (int[] claim : problem.stillCuring) {
            cars[claim[0]].add(0, claim[3], new Lane.Claim(Lane.NONE, claim[0], claim[1], claim[2], Lane.NONE));
        }
        for (int[] stay : problem.takenAlong) {
            stations[stay[0]].add(stay[1], stay[2], new Lane.Claim(Lane.NONE, stay[3], Lane.NONE, 0, stay[0]));
        }
    }

    private static Lane[] lanes(int count) {
        return Stream.generate(Lane::new).limit(count).toArray(Lane[]::new);
    }

    /** The place of a job by a crew at a station from a slot on; null where their hours do not allow it. */
    @Nullable
    Place place(int node, Activity.JobActivity job, CrewMode crew, int station, int start) {
        WorkingWindows hours = crew.hours(station, false);
        int work = problem.work[node];
        if (start == WorkingWindows.NEVER || hours.next(start) != start) {
            return null;
        }
        int end = job.oneGo() ? start + work : hours.finish(start, work);
        boolean fits = end != WorkingWindows.NEVER && (!job.oneGo() || end <= hours.windowEnd(start));
        return fits ? new Place(node, crew, station, new Times(start, end, end + job.cure())) : null;
    }

    /** Puts a job where it has its place. */
    void put(Place place) {
        int node = place.node();
        Activity.JobActivity job = (Activity.JobActivity) problem.activities[node];
        places[node] = place;
        times[node] = place.at();
        Lane.Claim claim = new Lane.Claim(node, job.build(), job.hold(), job.zone(), place.station());
        for (int pool : place.crew().pools) {
            people[pool].add(place.start(), place.end(), claim);
        }
        if (place.station() >= 0) {
            stations[place.station()].add(place.start(), place.end(), claim);
        }
        if (job.onCar()) {
            cars[job.build()].add(place.start(), place.end(), claim);
            if (job.cureHold() >= 0 && job.cure() > 0) {
                cars[job.build()].add(
                        place.end(),
                        place.ready(),
                        new Lane.Claim(node, job.build(), job.cureHold(), job.zone(), Lane.NONE));
            }
        }
    }

    /** The place of a job that has one. */
    Place placeOf(int node) {
        return Objects.requireNonNull(places[node]);
    }

    /** Takes a job out; the place it had. */
    Place take(int node) {
        Place place = placeOf(node);
        places[node] = null;
        times[node] = null;
        for (int pool : place.crew().pools) {
            people[pool].remove(node, place.start());
        }
        if (place.station() >= 0) {
            stations[place.station()].remove(node, place.start());
        }
        Lane car = cars[problem.network.build[node]];
        car.remove(node, place.start());
        if (place.ready() > place.end()) {
            car.remove(node, place.end());
        }
        return place;
    }

    /** Notes work that is no job: from when to when, and by whom, if anybody drives it. */
    void putOther(int node, Times at, int driver, int @Nullable [] drives) {
        Activity activity = problem.activities[node];
        times[node] = at;
        Lane.Claim away = new Lane.Claim(node, activity.build(), CarClaim.AWAY, 0, Lane.NONE);
        if (drives != null) {
            for (int i = 0; i < drives.length; i += 2) {
                people[driver].add(drives[i], drives[i + 1], away);
                cars[activity.build()].add(drives[i], drives[i + 1], away);
            }
        } else if (!(activity instanceof Activity.TripActivity trip) || trip.wholeCar()) {
            cars[activity.build()].add(at.start(), at.ready(), away);
        }
    }

    /** The first slot at which the node could start as far as its bounds and what it follows go, among what has a place. */
    int earliest(int node) {
        int slot = problem.boundSlot[node];
        for (ActivityNetwork.Arc arc : problem.before[node]) {
            Times first = times[arc.from()];
            if (first != null && counts(arc) && arc.type() != Link.Type.FINISH_FINISH) {
                slot = Math.max(slot, after(first, arc));
            }
        }
        return slot;
    }

    private boolean counts(ActivityNetwork.Arc arc) {
        return arc.risk() < 0 || !choices[arc.risk()];
    }

    private int after(Times first, ActivityNetwork.Arc arc) {
        return problem.lagged(
                switch (arc.type()) {
                    case FINISH_START -> first.ready();
                    case START_START -> first.start();
                    case FINISH_FINISH -> first.end();
                },
                arc);
    }

    /** Adds to the slots those at which something of a crew or station begins or ends between two. */
    int edges(CrewMode crew, int station, int after, int until, int[] slots, int many) {
        int all = many;
        for (int pool : crew.pools) {
            all = people[pool].edges(after, until, slots, all);
        }
        return station < 0 ? all : stations[station].edges(after, until, slots, all);
    }

    /** What is in the way of a place: whoever would have to go. */
    final class InTheWay implements Lane.Visitor {
        private final int[] found;
        private int count;
        private Place place;
        private Activity.JobActivity job;
        private int hands;
        private int pool;
        private int free;
        private boolean cures;

        /** @param most more than that is too much */
        @SuppressWarnings("NullAway.Init")
        InTheWay(int most) {
            found = new int[most];
        }

        /** The nodes in the way of the place, none twice; null where one of them may not be moved, or it is too many. */
        int @Nullable [] of(Place wanted) {
            place = wanted;
            job = (Activity.JobActivity) problem.activities[wanted.node()];
            count = 0;
            return crew() && follows() && station() && car() ? Arrays.copyOf(found, count) : null;
        }

        private boolean add(int node) {
            for (int i = 0; i < count; i++) {
                if (found[i] == node) {
                    return true;
                }
            }
            if (node < 0 || !movable[node] || count == found.length) {
                return false;
            }
            found[count++] = node;
            return true;
        }

        /** What follows and would begin too soon; false where it comes itself too soon to end. */
        private boolean follows() {
            for (ActivityNetwork.Arc arc : problem.after[place.node()]) {
                Times then = times[arc.to()];
                if (then != null && counts(arc)) {
                    int at = arc.type() == Link.Type.FINISH_FINISH ? then.end() : then.start();
                    if (after(place.at(), arc) > at && !add(arc.to())) {
                        return false;
                    }
                }
            }
            for (ActivityNetwork.Arc arc : problem.before[place.node()]) {
                Times first = times[arc.from()];
                if (first != null
                        && counts(arc)
                        && arc.type() == Link.Type.FINISH_FINISH
                        && after(first, arc) > place.end()) {
                    return false;
                }
            }
            return true;
        }

        private boolean crew() {
            for (int i = 0; i < place.crew().pools.length; i++) {
                pool = place.crew().pools[i];
                free = problem.pools.size(pool) - place.crew().counts[i];
                if (!people[pool].overlaps(place.start(), place.end(), this)) {
                    return false;
                }
            }
            return true;
        }

        /** Somebody of the crew at other work. */
        @Override
        public boolean sees(Lane.Claim claim, int from, int to) {
            if (problem.pools.size(pool) == 1) {
                return !atWork(claim.node(), Math.max(from, place.start()), Math.min(to, place.end()))
                        || add(claim.node());
            }
            CrewMode theirs = placeOf(claim.node()).crew();
            for (int i = 0; i < theirs.pools.length; i++) {
                free -= theirs.pools[i] == pool ? theirs.counts[i] : 0;
            }
            return free >= 0;
        }

        /** Whether the node is worked on at some slot between two. */
        private boolean atWork(int node, int from, int to) {
            Place theirs = node < 0 ? null : places[node];
            return theirs == null
                    || theirs.crew().hours(theirs.station(), false).next(from) < to;
        }

        /** Whether both are worked on at some slot between two. */
        private boolean together(int node, int from, int to) {
            Place theirs = node < 0 ? null : places[node];
            if (theirs == null) {
                return true;
            }
            WorkingWindows one = place.crew().hours(place.station(), false);
            WorkingWindows other = theirs.crew().hours(theirs.station(), false);
            for (int slot = from; slot < to; ) {
                int next = one.next(slot);
                slot = other.next(next);
                if (slot == next) {
                    return slot < to;
                }
            }
            return false;
        }

        private boolean station() {
            return place.station() < 0
                    || stations[place.station()].overlaps(
                            place.start(),
                            place.end(),
                            (claim, from, to) -> claim.build() == job.build() || add(claim.node()));
        }

        private boolean car() {
            if (!job.onCar()) {
                return true;
            }
            if (Activity.back(job.carAway(), place.start(), place.end()) >= 0) {
                return false;
            }
            hands = place.crew().hands;
            cures = false;
            boolean room = cars[job.build()].overlaps(place.start(), place.end(), this::seesOnCar);
            cures = true;
            return room
                    && (job.cureHold() < 0
                            || job.cure() == 0
                            || cars[job.build()].overlaps(place.end(), place.ready(), this::seesOnCar));
        }

        private boolean seesOnCar(Lane.Claim claim, int from, int to) {
            int hold = cures ? job.cureHold() : job.hold();
            int at = cures ? Lane.NONE : place.station();
            if (CarClaim.excludes(claim.hold(), claim.zone(), claim.station(), hold, job.zone(), at)) {
                return add(claim.node());
            }
            if (!cures
                    && claim.hold() == CarClaim.ON_CAR
                    && claim.zone() == job.zone()
                    && together(claim.node(), Math.max(from, place.start()), Math.min(to, place.end()))) {
                hands += placeOf(claim.node()).crew().hands;
                return hands <= job.zoneLimit() || add(claim.node());
            }
            return true;
        }
    }
}
