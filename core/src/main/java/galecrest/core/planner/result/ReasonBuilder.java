package galecrest.core.planner.result;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CarClaim;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.BindingConstraint;
import galecrest.core.planner.sgs.Schedule;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes a {@link Because} of the numbers that a schedule keeps of what bound a start. */
public final class ReasonBuilder {
    private final SchedulingProblem problem;
    private final Schedule schedule;
    private final PersonAssignment people;
    private final Map<WorkId, Plan.Placed> standing;

    ReasonBuilder(Schedule schedule, PersonAssignment people) {
        this.problem = schedule.problem;
        this.schedule = schedule;
        this.people = people;
        standing = problem.network.shop.standing().map(Plan::byWork).orElse(Map.of());
    }

    Because of(int node) {
        return of(node, schedule.cause[node]);
    }

    Because of(int node, BindingConstraint cause) {
        Instant until = problem.grid.instant(Math.min(cause.until, problem.slots));
        return switch (cause.kind) {
            case SHIFT -> new Because.Shift();
            case BOUND -> problem.network.bounds.get(node).get(cause.ref).because();
            case AFTER -> after(problem.before[node][cause.ref]);
            case PERSON_BUSY -> new Because.PersonBusy(busy(cause), work(cause).id(), until);
            case PERSON_AWAY -> new Because.PersonAway(person(cause.ref), until);
            case STATION_TAKEN ->
                new Because.StationTaken(
                        problem.network.shop.stations().get(cause.aux).id(),
                        work(cause).id(),
                        until);
            case CAR_CLAIMED -> claimed(node, cause, until);
            case AT_DATE -> atDate(node, cause, until);
            case CURES_INTO -> new Because.CuresInto(work(cause).id(), until);
            case VENDOR_SHUT ->
                new Because.VendorShut(
                        problem.network.shop.vendors().get(cause.ref).id(), until);
            case ZONE_FULL ->
                new Because.ZoneFull(
                        ((Job) problem.network.works.get(node)).zone(),
                        work(cause).id(),
                        until);
            case SLOT ->
                new Because.Slot(((Outwork) problem.network.works.get(node))
                        .slot()
                        .orElseThrow()
                        .from());
            case PINNED -> new Because.Pinned(exactPin(node));
            case TOLD -> told(node);
            default -> new Because.Nothing();
        };
    }

    /**
     * It could start sooner, but the plan has it then. What a repair gave another place than it stood at waits for
     * whoever is busy until then.
     */
    private Because told(int node) {
        Plan.Placed said = standing.get(problem.network.works.get(node).id());
        boolean stands = said != null && problem.grid.atOrAfter(said.start()) == schedule.start[node];
        Because otherwise = said == null ? new Because.Nothing() : new Because.Told();
        return stands ? otherwise : new JustBefore(schedule, people).of(node).orElse(otherwise);
    }

    private Work work(BindingConstraint cause) {
        return problem.network.work(cause.ref);
    }

    private PersonId person(int number) {
        return problem.network.shop.people().get(number).id();
    }

    /** Who of the pool is on the work that is in the way. */
    private PersonId busy(BindingConstraint cause) {
        List<PersonId> crew = people.of(cause.ref);
        for (int member : problem.pools.members(cause.aux)) {
            if (crew.contains(person(member))) {
                return person(member);
            }
        }
        return person(problem.pools.anyOf(cause.aux));
    }

    private Because after(ActivityNetwork.Arc arc) {
        Work first = problem.network.works.get(arc.from());
        boolean curing = arc.type() == Link.Type.FINISH_START
                && schedule.ready[arc.from()] > schedule.end[arc.from()]
                && first instanceof Job;
        return new Because.After(first.id(), first instanceof Outwork, curing, arc.lag() > 0);
    }

    private Because atDate(int node, BindingConstraint cause, Instant until) {
        if (cause.aux >= 0) {
            return new Because.AtDate(
                    problem.network.shop.commitments().get(cause.ref).id(),
                    Optional.of(problem.network.shop.stations().get(cause.aux).id()),
                    until);
        }
        return problem.network.shop.commitments().stream()
                .filter(c -> c.build().equals(problem.network.works.get(node).build()))
                .filter(c -> c.away()
                        .map(a -> problem.grid.atOrAfter(a.to()) == cause.until)
                        .orElse(false))
                .findFirst()
                .<Because>map(c -> new Because.AtDate(c.id(), Optional.empty(), until))
                .orElseGet(Because.Nothing::new);
    }

    private Because claimed(int node, BindingConstraint cause, Instant until) {
        return switch (cause.aux) {
            case CarClaim.AWAY -> new Because.CarAway(work(cause).id(), until);
            case CarClaim.CURING_ZONE, CarClaim.CURING_CAR ->
                new Because.Curing(work(cause).id(), until);
            case CarClaim.WHOLE_CAR -> new Because.WholeCar(work(cause).id(), until);
            default ->
                problem.activities[node] instanceof Activity.JobActivity job && job.wholeCar()
                        ? new Because.WholeCar(work(cause).id(), until)
                        : new Because.CarElsewhere(work(cause).id(), until);
        };
    }

    PinId exactPin(int node) {
        PinId last = null;
        for (Pin pin : problem.network.pins.get(node)) {
            last = pin instanceof Pin.Exactly ? pin.id() : last;
        }
        return java.util.Objects.requireNonNull(last);
    }
}
