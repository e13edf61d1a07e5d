package galecrest.server.errand;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.parts.PartState;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.sheet.JobSpec;
import galecrest.core.shop.Problem;
import galecrest.core.shop.Station;
import galecrest.core.work.Commitment;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.build.BuildService;
import galecrest.server.build.CommitmentRequest;
import galecrest.server.journal.Journal;
import galecrest.server.parts.PartLineRepository;
import galecrest.server.parts.PartRow;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.work.JobRequest;
import galecrest.server.work.PinningService;
import galecrest.server.work.WorkDateRequest;
import galecrest.server.work.WorkService;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Errands are planned as all work is: each is a job off the car, with a date of its own. */
@Service
class ErrandService {
    private static final String BUILD = "Errands";
    private static final String DRIVE = "drive";
    /** An errand presses less than a car's date; a hand whom a car needs goes later. */
    private static final double WEIGHT = 0.3;
    /** The way takes between so much less and so much more; common practice. */
    private static final double LOW = 0.8;

    private static final double HIGH = 1.5;

    private final ErrandRepository record;
    private final BuildService builds;
    private final WorkService works;
    private final PinningService pins;
    private final PartLineRepository parts;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;

    ErrandService(
            ErrandRepository record,
            BuildService builds,
            WorkService works,
            PinningService pins,
            PartLineRepository parts,
            PlanService plans,
            Journal journal,
            Clock clock) {
        this.record = record;
        this.builds = builds;
        this.works = works;
        this.pins = pins;
        this.parts = parts;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
    }

    @AnyHand
    List<ErrandResponse> open() {
        return record.open();
    }

    @LeadOrManager
    String add(ErrandRequest form) {
        checkTime(form.from(), form.by());
        String what = form.what().strip();
        return journal.change(
                () -> {
                    ShopSnapshot shop = plans.shopWithinChange();
                    Optional<Person> goes = person(shop, form.personId());
                    Optional<Station> vehicle = vehicle(shop, form.vehicleId());
                    checkRest(shop, form);
                    String build = record.build(BUILD).orElseGet(() -> builds.addWithoutCar(BUILD));
                    String work = works.insertJob(
                            new JobRequest(
                                    build, "", spec(form, skill(shop, goes), vehicle), form.from(), "", List.of(), 0),
                            false);
                    String date = builds.addCommitment(new CommitmentRequest(
                            build, what, Commitment.Kind.PROMISE, form.by(), Gate.EVENT, WEIGHT, 0, null));
                    works.belongTo(work, new WorkDateRequest(date, false, null));
                    record.insert(work, form, date);
                    record.partComes(work, form.by());
                    pins.forErrand(work, form.personId(), form.vehicleId());
                    return work;
                },
                id -> "errand: " + what);
    }

    private void checkTime(@Nullable Instant from, Instant by) {
        if (!by.isAfter(clock.instant())) {
            throw new ValidationException("by", "That is past; by when must it be done?");
        }
        if (from != null && !from.isBefore(by)) {
            throw new ValidationException("from", "It can begin no later than it must be done.");
        }
    }

    private void checkRest(ShopSnapshot shop, ErrandRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (form.forBuildId() != null
                && shop.builds().stream().noneMatch(b -> b.id().value().equals(form.forBuildId()))) {
            problems.add(new Problem("forBuildId", "That car is not here any more."));
        }
        if (form.partId() != null) {
            PartRow part = parts.part(form.partId()).orElseThrow(() -> new NotFoundException("part"));
            if (part.state() != PartState.ORDERED && part.state() != PartState.SHIPPED) {
                problems.add(new Problem(
                        "partId",
                        part.name() + " is " + part.state().label() + "; what is ordered or ready can be collected."));
            }
        }
        ValidationException.throwIfAny(problems);
    }

    private static Optional<Person> person(ShopSnapshot shop, @Nullable String id) {
        return Optional.ofNullable(id).map(wanted -> shop.people().stream()
                .filter(p -> p.id().value().equals(wanted))
                .findFirst()
                .orElseThrow(() -> new ValidationException("personId", "Nobody of that name works here.")));
    }

    private static Optional<Station> vehicle(ShopSnapshot shop, @Nullable String id) {
        return Optional.ofNullable(id).map(wanted -> shop.stations().stream()
                .filter(s -> s.id().value().equals(wanted))
                .findFirst()
                .orElseThrow(() -> new ValidationException("vehicleId", "That vehicle is not here any more.")));
    }

    /** Driving where who goes, or anybody, can; else what they can do, so that they are asked. */
    private static String skill(ShopSnapshot shop, Optional<Person> goes) {
        List<Person> asked = goes.map(List::of).orElse(shop.people());
        if (asked.stream().anyMatch(p -> p.skills().containsKey(DRIVE))) {
            return DRIVE;
        }
        return asked.stream()
                .flatMap(p -> p.skills().keySet().stream())
                .min(Comparator.naturalOrder())
                .orElseThrow(() -> new ValidationException("personId", "Who goes has no skill to be planned by."));
    }

    private static JobSpec spec(ErrandRequest form, String skill, Optional<Station> vehicle) {
        String place = form.place().strip();
        String name = form.what().strip() + (place.isEmpty() ? "" : ", " + place);
        return new JobSpec(
                name.length() > 100 ? form.what().strip() : name,
                Zone.COCKPIT,
                false,
                false,
                Math.max(1, (int) (form.minutes() * LOW)),
                form.minutes(),
                (int) Math.ceil(form.minutes() * HIGH),
                List.of(new CrewPlace(skill, Level.LEARNER)),
                vehicle.map(Station::kind).orElse(""),
                true,
                0,
                CureLock.NOTHING,
                Gate.EVENT,
                true,
                0,
                0);
    }

    @LeadOrManager
    void move(String id, @Nullable Instant from, Instant by) {
        checkTime(from, by);
        journal.judge(() -> {
            String name = name(id);
            record.move(id, from, by);
            return "another time for the errand " + name;
        });
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            String name = name(id);
            record.delete(id);
            return "called off the errand " + name;
        });
    }

    private String name(String id) {
        return record.name(id).orElseThrow(() -> new NotFoundException("errand"));
    }
}
