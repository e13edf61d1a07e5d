package galecrest.core.planner.result;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.Schedule;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/**
 * What is over just when a job begins, so that its people and its station are there for it: of a job that was given its
 * place, that is what it waits for.
 */
final class JustBefore {
    private final SchedulingProblem problem;
    private final Schedule schedule;
    private final PersonAssignment people;

    JustBefore(Schedule schedule, PersonAssignment people) {
        this.problem = schedule.problem;
        this.schedule = schedule;
        this.people = people;
    }

    /** Who is busy until then, which station is taken, or who is away; empty where none is. */
    Optional<Because> of(int node) {
        return schedule.crew[node] == null
                ? Optional.empty()
                : first(node, other -> person(node, other))
                        .or(() -> first(node, other -> station(node, other)))
                        .or(() -> leave(node));
    }

    private Optional<Because> first(int node, IntFunction<Optional<Because>> reason) {
        return IntStream.range(0, problem.size)
                .filter(other -> other != node && endsAs(node, other))
                .mapToObj(reason)
                .flatMap(Optional::stream)
                .findFirst();
    }

    private boolean endsAs(int node, int other) {
        return schedule.planned(other) && leadsTo(node, schedule.end[other]);
    }

    /** Whether the start of the node is the first slot from that one on that its crew could work in. */
    private boolean leadsTo(int node, int slot) {
        int start = schedule.start[node];
        return slot <= start
                && schedule.crew[node].hours(schedule.station[node], false).next(slot) == start;
    }

    private Optional<Because> person(int node, int other) {
        List<PersonId> theirs = people.of(other);
        return people.of(node).stream()
                .filter(theirs::contains)
                .findFirst()
                .map(person -> new Because.PersonBusy(person, id(other), until(other)));
    }

    private Optional<Because> station(int node, int other) {
        boolean taken = problem.activities[other] instanceof Activity.JobActivity
                && schedule.station[node] >= 0
                && schedule.station[node] == schedule.station[other]
                && problem.network.build[node] != problem.network.build[other];
        return taken
                ? Optional.of(new Because.StationTaken(
                        problem.network
                                .shop
                                .stations()
                                .get(schedule.station[node])
                                .id(),
                        id(other),
                        until(other)))
                : Optional.empty();
    }

    private Optional<Because> leave(int node) {
        return IntStream.of(schedule.crew[node].pools)
                .map(problem.pools::anyOf)
                .filter(person -> isBack(node, problem.calendars.onLeave(person)))
                .mapToObj(person -> (Because) new Because.PersonAway(
                        problem.network.shop.people().get(person).id(), instant(schedule.start[node])))
                .findFirst();
    }

    private boolean isBack(int node, WorkingWindows leave) {
        return IntStream.range(0, leave.count()).anyMatch(w -> leadsTo(node, leave.endOf(w)));
    }

    private WorkId id(int node) {
        return problem.network.works.get(node).id();
    }

    private Instant until(int node) {
        return instant(schedule.end[node]);
    }

    private Instant instant(int slot) {
        return problem.grid.instant(slot);
    }
}
