package galecrest.core.planner.result;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.BuildId;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomDates;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.vendor.Vendor;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.CureLock;
import galecrest.core.work.Job;
import galecrest.core.work.Outing;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/**
 * What a plan gives as its reasons is so by the plan itself and the snapshot: who is said to be busy is on that job until
 * then, the station is taken by that car, the part comes then.
 */
class ReasonsHoldTest {
    private ShopSnapshot shop;
    private final Map<WorkId, Work> works = new HashMap<>();
    private Map<WorkId, Plan.Placed> placed;

    @Property(tries = 250)
    void everyReasonIsTrue(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot some = RandomShops.shop(seed, 10 + (int) (seed % 30));
        begin(seed % 2 == 0 ? some : RandomDates.withOutings(some, seed).withCrewsAway());
        allHold(Planner.plan(shop, PlanOptions.interactive(shop).withSteps(20)));
    }

    /** Somebody stays away for a morning, so work takes places that nobody was told of. */
    @Property(tries = 150)
    void soIsEveryReasonOfAMendedPlan(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot some = RandomShops.shop(seed, 20 + (int) (seed % 30));
        Plan told = Planner.plan(some, PlanOptions.interactive(some).withSteps(20));
        begin(without(some.withPublished(told), new Random(seed)));
        allHold(Planner.plan(shop, PlanOptions.interactive(shop)));
    }

    private static ShopSnapshot without(ShopSnapshot shop, Random random) {
        PersonId away = shop.people().get(random.nextInt(shop.people().size())).id();
        LocalDate day = LocalDate.ofInstant(shop.now(), shop.zone()).plusDays(random.nextInt(4));
        ShiftChange morning =
                new ShiftChange(ShiftChange.Kind.LEAVE, day, day, LocalTime.MIDNIGHT, LocalTime.of(13, 0), "");
        return shop.withPeople(shop.people().stream()
                .map(p -> p.id().equals(away) ? p.with(morning) : p)
                .toList());
    }

    private void allHold(Plan plan) {
        placed = plan.byWork();
        for (Plan.Placed p : plan.placed()) {
            assertThat(holds(works.get(p.work()), p))
                    .as("%s at %s: %s", p.work(), p.start(), p.because())
                    .isTrue();
        }
    }

    private void begin(ShopSnapshot of) {
        shop = of;
        works.clear();
        shop.works().forEach(w -> works.put(w.id(), w));
    }

    private boolean holds(Work work, Plan.Placed p) {
        Because because = p.because();
        if (because instanceof Because.PersonBusy b) {
            return placed.get(b.with()).crew().contains(b.person())
                    && stops(b.with(), b.until())
                    && !p.start().isBefore(b.until());
        } else if (because instanceof Because.PersonAway b) {
            return !p.start().isBefore(b.until()) && away(person(b), b.until());
        } else if (because instanceof Because.StationTaken b) {
            Plan.Placed by = placed.get(b.by());
            return p.station().equals(Optional.of(b.station()))
                    && by.station().equals(p.station())
                    && !build(b.by()).equals(work.build())
                    && by.end().equals(b.until())
                    && !p.start().isBefore(b.until());
        } else if (because instanceof Because.ZoneFull b) {
            return ((Job) works.get(b.with())).zone() == b.zone()
                    && ((Job) work).zone() == b.zone()
                    && sameCar(work, b.with(), b.until())
                    && !p.start().isBefore(b.until());
        } else if (because instanceof Because.After b) {
            return follows(work.id(), b.work())
                    && b.outside() == works.get(b.work()) instanceof Outwork
                    && (!b.curing() || !((Job) works.get(b.work())).cure().isZero());
        }
        return car(work, p, because).orElseGet(() -> outside(work, p, because));
    }

    /** Whether something else at the car is in the way; empty where that is not what is said. */
    private Optional<Boolean> car(Work work, Plan.Placed p, Because because) {
        if (because instanceof Because.WholeCar b) {
            return Optional.of((takesCar(work) || takesCar(works.get(b.with()))) && sameCar(work, b.with(), b.until()));
        } else if (because instanceof Because.CarElsewhere b) {
            return Optional.of(sameCar(work, b.at(), b.until())
                    && !p.start().isBefore(b.until())
                    && p.station().isPresent()
                    && !placed.get(b.at()).station().equals(p.station()));
        } else if (because instanceof Because.CuresInto b) {
            boolean cures = work instanceof Job job && job.cureLock() != CureLock.NOTHING;
            return Optional.of(
                    cures && sameCar(work, b.with(), b.until()) && !p.end().isBefore(b.until()));
        } else if (because instanceof Because.CarAway b) {
            boolean leaves =
                    works.get(b.at()) instanceof Outwork o && o.wholeCar() || works.get(b.at()) instanceof RunningIn;
            return Optional.of(leaves && sameCar(work, b.at(), b.until()));
        } else if (because instanceof Because.AtDate b) {
            Commitment date = date(b.date());
            Outing outing = date.outing().orElseThrow();
            boolean away = !p.start().isBefore(b.until())
                    && Duration.between(outing.back(), b.until()).abs().toMinutes() <= 5;
            return Optional.of(away
                    && (b.station().isPresent()
                            ? outing.takes().contains(b.station().get())
                                    && b.station().equals(p.station())
                                    && !date.build().equals(work.build())
                            : date.build().equals(work.build()) && !date.needs(work)));
        } else if (because instanceof Because.DoneThere b) {
            return Optional.of(date(b.date()).outing().orElseThrow().there().contains(work.id()));
        } else if (because instanceof Because.Curing b) {
            Job cures = (Job) works.get(b.after());
            boolean then = cures.status() == Status.DONE
                    || placed.get(b.after()).ready().equals(b.until());
            return Optional.of(then
                    && cures.cureLock() != CureLock.NOTHING
                    && build(b.after()).equals(work.build()));
        }
        return Optional.empty();
    }

    /** What was said of the work itself, of its parts, or to people. */
    private boolean outside(Work work, Plan.Placed p, Because because) {
        if (because instanceof Because.Part b) {
            return waitsFor((Job) work, b.part())
                    && !p.start().isBefore(b.ready())
                    && b.assumed() == (assumed(b.part()));
        } else if (because instanceof Because.VendorShut b) {
            Outwork outwork = (Outwork) work;
            Vendor vendor = shop.vendor(b.vendor()).orElseThrow();
            ZonedDateTime opens = b.opens().atZone(shop.zone());
            return outwork.vendor().equals(b.vendor())
                    && !p.start().plus(outwork.transportOut()).isBefore(b.opens())
                    && vendor.hours().stream()
                            .anyMatch(s ->
                                    s.day() == opens.getDayOfWeek() && s.start().equals(opens.toLocalTime()));
        } else if (because instanceof Because.Slot b) {
            return ((Outwork) work).slot().orElseThrow().from().equals(b.from());
        } else if (because instanceof Because.Held b) {
            return work.hold().orElseThrow().reason() == b.reason()
                    && !p.start().isBefore(b.assumedUntil());
        } else if (because instanceof Because.NotBefore b) {
            return work.notBefore().orElseThrow().equals(b.at()) && !p.start().isBefore(b.at());
        } else if (because instanceof Because.Pinned b) {
            return shop.pins().stream()
                    .anyMatch(pin -> pin.id().equals(b.pin()) && pin.work().equals(work.id()));
        } else if (because instanceof Because.Told) {
            return shop.published().orElseThrow().byWork().containsKey(work.id());
        }
        return because instanceof Because.Nothing || because instanceof Because.Shift;
    }

    private Commitment date(CommitmentId id) {
        return shop.commitments().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static boolean takesCar(Work work) {
        return work instanceof Job job && job.wholeCar()
                || work instanceof Outwork outwork && outwork.wholeCar()
                || work instanceof RunningIn;
    }

    private BuildId build(WorkId id) {
        return works.get(id).build();
    }

    private Person person(Because.PersonAway b) {
        return shop.people().stream()
                .filter(p -> p.id().equals(b.person()))
                .findFirst()
                .orElseThrow();
    }

    /** Whether the person has leave that is over by then. */
    private boolean away(Person person, Instant until) {
        LocalDate back = until.atZone(shop.zone()).toLocalDate();
        return person.changes().stream()
                .filter(c -> c.kind() != ShiftChange.Kind.EXTRA)
                .anyMatch(c -> !c.from().isAfter(back));
    }

    /** Whether the work, at the same car, ends or pauses at the instant. */
    private boolean sameCar(Work work, WorkId other, Instant until) {
        return build(other).equals(work.build()) && stops(other, until);
    }

    private boolean stops(WorkId id, Instant until) {
        Plan.Placed other = placed.get(id);
        return other.end().equals(until)
                || other.ready().equals(until)
                || other.at().stream().anyMatch(s -> s.to().equals(until));
    }

    private boolean follows(WorkId then, WorkId first) {
        boolean linked = shop.links().stream()
                .anyMatch(l -> l.first().equals(first) && l.then().equals(then));
        return linked
                || shop.pins().stream()
                        .anyMatch(pin -> pin instanceof Pin.After a
                                && a.work().equals(then)
                                && a.first().equals(first));
    }

    private PartLine part(PartId id) {
        return shop.parts().stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow();
    }

    private boolean waitsFor(Job job, PartId id) {
        return job.parts().stream()
                .map(this::part)
                .anyMatch(p ->
                        p.id().equals(id) || p.waitsForPair() && p.pairedWith().equals(Optional.of(id)));
    }

    private boolean assumed(PartId id) {
        return !part(id).state().toInspect() && shop.expected(part(id)).isEmpty();
    }
}
