package galecrest.core.insight;

import galecrest.core.build.BuildId;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.SerialScheduler;
import galecrest.core.risk.Replay;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What can be worked on this minute, for every person, and for everything that cannot, the one thing that holds it.
 *
 * @param people all people, in the order of the snapshot
 * @param held what waits for more than the hands of the shop, and not for what has not begun: the soonest wanted first
 */
public record DispatchList(List<OfPerson> people, List<Held> held) {
    public DispatchList {
        people = List.copyOf(people);
        held = List.copyOf(held);
    }

    /**
     * The jobs that a person could do now: nothing but hands stands before them.
     *
     * @param ready what the plan gives this person first, in its order; then what others would do, the soonest wanted
     *     first
     */
    public record OfPerson(PersonId person, List<Ready> ready) {
        public OfPerson {
            ready = List.copyOf(ready);
        }
    }

    /**
     * A job that can start, or go on.
     *
     * @param own whether the plan gives it to this person
     */
    public record Ready(WorkId work, boolean own) {}

    /**
     * Work that cannot start.
     *
     * @param behind how many pieces of work wait for it in turn
     */
    public record Held(WorkId work, Because because, int behind) {}

    /** The list of a plan; {@code latest} is when each work must start, see {@link LatestDates#latestStarts}. */
    public static DispatchList of(ShopSnapshot shop, Plan plan, Map<WorkId, Instant> latest) {
        SchedulingProblem problem = new SchedulingProblem(
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
        Replay replay = new Replay(problem, plan);
        SerialScheduler schedule = Replay.schedule(replay.policy);
        schedule.generate(replay.order, replay.choices);
        Comparator<WorkId> wanted = Comparator.<WorkId, Instant>comparing(w -> latest.getOrDefault(w, Instant.MAX))
                .thenComparing(w -> w);
        Map<WorkId, Plan.Placed> placed = plan.byWork();
        Set<BuildId> taken = takenCars(shop);
        List<Job> free = new ArrayList<>();
        for (int node = 0; node < problem.size; node++) {
            Work work = problem.network.works.get(node);
            if (work instanceof Job job && canGoOn(job, schedule.free(node), taken)) {
                free.add(job);
            }
        }
        free.sort(Comparator.comparing(Job::id, wanted));
        List<OfPerson> people =
                shop.people().stream().map(p -> of(p, free, placed)).toList();
        Set<WorkId> ready = new HashSet<>();
        free.forEach(j -> ready.add(j.id()));
        List<Held> held = plan.placed().stream()
                .filter(p -> !ready.contains(p.work())
                        && outsideTheHands(p.because())
                        && waits(shop, p.work())
                        && p.because()
                                .blocker()
                                .flatMap(b -> status(shop, b))
                                .filter(Status.TODO::equals)
                                .isEmpty())
                .map(p -> new Held(p.work(), p.because(), behind(problem, p.work())))
                .sorted(Comparator.comparing(Held::work, wanted))
                .toList();
        return new DispatchList(people, held);
    }

    /** Cars that are away, or on which work goes on that claims the whole car. */
    private static Set<BuildId> takenCars(ShopSnapshot shop) {
        Set<BuildId> taken = new HashSet<>();
        for (Work work : shop.works()) {
            boolean away =
                    work instanceof Outwork o && o.wholeCar() && o.away().isPresent() && o.status() != Status.DONE;
            boolean whole = work instanceof Job job && job.wholeCar() && job.onCar() && goesOn(job);
            if (away || whole) {
                taken.add(work.build());
            }
        }
        return taken;
    }

    private static boolean goesOn(Job job) {
        return job.status() == Status.STARTED
                && job.hold().isEmpty()
                && job.started().isPresent();
    }

    private static boolean canGoOn(Job job, int freeFrom, Set<BuildId> taken) {
        boolean blocked = job.onCar() && taken.contains(job.build()) && !goesOn(job);
        return job.status() != Status.DONE && job.hold().isEmpty() && freeFrom == 0 && !blocked;
    }

    private static OfPerson of(Person person, List<Job> free, Map<WorkId, Plan.Placed> placed) {
        List<Ready> own = new ArrayList<>();
        List<Ready> others = new ArrayList<>();
        for (Job job : free) {
            Plan.Placed where = placed.get(job.id());
            if (where != null && where.crew().contains(person.id())) {
                own.add(new Ready(job.id(), true));
            } else if (!goesOn(job) && able(person, job)) {
                others.add(new Ready(job.id(), false));
            }
        }
        own.sort(Comparator.comparing(r -> placed.get(r.work()).start()));
        own.addAll(others);
        return new OfPerson(person.id(), own);
    }

    private static boolean able(Person person, Job job) {
        return job.crew().stream().anyMatch((CrewPlace place) -> person.can(place.skill(), place.least()));
    }

    /** Whether what binds a start is more than the shop's people being busy with what comes before. */
    private static boolean outsideTheHands(Because because) {
        return because instanceof Because.Part
                || because instanceof Because.Held
                || because instanceof Because.PersonAway
                || because instanceof Because.NotBefore
                || because instanceof Because.Pinned
                || because instanceof Because.CarAway
                || because instanceof Because.Curing
                || because instanceof Because.Slot
                || because instanceof Because.After after && (after.outside() || after.curing());
    }

    private static Optional<Status> status(ShopSnapshot shop, WorkId id) {
        return shop.works().stream().filter(w -> w.id().equals(id)).findFirst().map(Work::status);
    }

    private static boolean waits(ShopSnapshot shop, WorkId id) {
        return shop.works().stream()
                .anyMatch(w -> w.id().equals(id)
                        && (w.status() == Status.TODO || w.hold().isPresent()));
    }

    /** How much follows a piece of work, directly or through other work. */
    private static int behind(SchedulingProblem problem, WorkId id) {
        int node = problem.network.node(id);
        if (node < 0) {
            return 0;
        }
        boolean[] seen = new boolean[problem.size];
        List<Integer> open = new ArrayList<>(List.of(node));
        int count = 0;
        while (!open.isEmpty()) {
            for (ActivityNetwork.Arc arc : problem.after[open.remove(open.size() - 1)]) {
                if (!seen[arc.to()]) {
                    seen[arc.to()] = true;
                    count++;
                    open.add(arc.to());
                }
            }
        }
        return count;
    }
}
