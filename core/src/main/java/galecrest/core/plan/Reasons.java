package galecrest.core.plan;

import galecrest.core.build.Job;
import galecrest.core.build.Link;
import galecrest.core.build.Outwork;
import galecrest.core.build.Pin;
import galecrest.core.build.PinId;
import galecrest.core.build.Work;
import galecrest.core.people.PersonId;
import java.time.Instant;
import java.util.List;

/** Makes a {@link Because} of the numbers that a schedule keeps of what bound a start. */
final class Reasons {
    private final Model model;
    private final Schedule schedule;
    private final People people;

    Reasons(Schedule schedule, People people) {
        this.model = schedule.model;
        this.schedule = schedule;
        this.people = people;
    }

    Because of(int node) {
        return of(node, schedule.cause[node]);
    }

    Because of(int node, Cause cause) {
        Instant until = model.grid.instant(Math.min(cause.until, model.slots));
        return switch (cause.kind) {
            case SHIFT -> new Because.Shift();
            case BOUND -> model.network.bounds.get(node).get(cause.ref).because();
            case AFTER -> after(model.before[node][cause.ref]);
            case PERSON_BUSY -> new Because.PersonBusy(busy(cause), work(cause).id(), until);
            case PERSON_AWAY -> new Because.PersonAway(person(cause.ref), until);
            case STATION_TAKEN ->
                new Because.StationTaken(
                        model.network.shop.stations().get(cause.aux).id(),
                        work(cause).id(),
                        until);
            case CAR_CLAIMED -> claimed(node, cause, until);
            case CURES_INTO -> new Because.CuresInto(work(cause).id(), until);
            case VENDOR_SHUT ->
                new Because.VendorShut(
                        model.network.shop.vendors().get(cause.ref).id(), until);
            case ZONE_FULL ->
                new Because.ZoneFull(
                        ((Job) model.network.works.get(node)).zone(),
                        work(cause).id(),
                        until);
            case SLOT ->
                new Because.Slot(((Outwork) model.network.works.get(node))
                        .slot()
                        .orElseThrow()
                        .from());
            case PINNED -> new Because.Pinned(exactPin(node));
            case TOLD -> new Because.Told();
            default -> new Because.Nothing();
        };
    }

    private Work work(Cause cause) {
        return model.network.work(cause.ref);
    }

    private PersonId person(int number) {
        return model.network.shop.people().get(number).id();
    }

    /** Who of the pool is on the work that is in the way. */
    private PersonId busy(Cause cause) {
        List<PersonId> crew = people.of(cause.ref);
        for (int member : model.pools.members(cause.aux)) {
            if (crew.contains(person(member))) {
                return person(member);
            }
        }
        return person(model.pools.anyOf(cause.aux));
    }

    private Because after(Network.Arc arc) {
        Work first = model.network.works.get(arc.from());
        boolean curing = arc.type() == Link.Type.FINISH_START
                && schedule.ready[arc.from()] > schedule.end[arc.from()]
                && first instanceof Job;
        return new Because.After(first.id(), first instanceof Outwork, curing, arc.lag() > 0);
    }

    private Because claimed(int node, Cause cause, Instant until) {
        return switch (cause.aux) {
            case CarClaim.AWAY -> new Because.CarAway(work(cause).id(), until);
            case CarClaim.CURING_ZONE, CarClaim.CURING_CAR ->
                new Because.Curing(work(cause).id(), until);
            case CarClaim.WHOLE_CAR -> new Because.WholeCar(work(cause).id(), until);
            default ->
                model.tasks[node] instanceof Task.JobTask job && job.wholeCar()
                        ? new Because.WholeCar(work(cause).id(), until)
                        : new Because.CarElsewhere(work(cause).id(), until);
        };
    }

    PinId exactPin(int node) {
        PinId last = null;
        for (Pin pin : model.network.pins.get(node)) {
            last = pin instanceof Pin.Exactly ? pin.id() : last;
        }
        return java.util.Objects.requireNonNull(last);
    }
}
