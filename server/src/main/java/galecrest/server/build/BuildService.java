package galecrest.server.build;

import galecrest.core.build.Gate;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Builds as a whole, and what was promised of them. */
@Service
public class BuildService {
    private final BuildRepository builds;
    private final FittedForNowRepository fittedForNow;
    private final OutingRepository outings;
    private final Journal journal;
    private final Clock clock;

    BuildService(
            BuildRepository builds,
            FittedForNowRepository fittedForNow,
            OutingRepository outings,
            Journal journal,
            Clock clock) {
        this.builds = builds;
        this.fittedForNow = fittedForNow;
        this.outings = outings;
        this.journal = journal;
        this.clock = clock;
    }

    @ManagerOnly
    void change(String id, BuildRequest form) {
        journal.change("changed the build " + form.name(), () -> {
            builds.name(id).orElseThrow(() -> new NotFoundException("build"));
            if (!builds.update(id, form)) {
                throw new ConflictException("Somebody else changed this build meanwhile.", 0, List.of());
            }
        });
    }

    /** Puts a car aside; each of its dates is made anew or withdrawn, on purpose. */
    @ManagerOnly
    void park(String id, ParkRequest form) {
        journal.judge(() -> {
            String name = builds.name(id).orElseThrow(() -> new NotFoundException("build"));
            if (form.until() != null && !form.until().isAfter(clock.instant())) {
                throw new ValidationException("until", "A car is parked until a day ahead, or with no end.");
            }
            List<String> goingOn = builds.goingOn(id);
            if (!goingOn.isEmpty()) {
                throw new ValidationException(
                        "until", "Work goes on: " + String.join(", ", goingOn) + ". Stop or finish it first.");
            }
            Map<String, ParkRequest.ParkedDate> said = new HashMap<>();
            form.dates().forEach(d -> said.put(d.id(), d));
            builds.dates(id).forEach(date -> settle(date, said.get(date.id()), form.until()));
            builds.park(id, form.until());
            return "parked " + name;
        });
    }

    private void settle(
            BuildRepository.DateRow date, ParkRequest.@Nullable ParkedDate said, @Nullable Instant parkedUntil) {
        if (said == null) {
            throw new ValidationException("dates", "Say what becomes of " + date.name() + ": another day, or none.");
        }
        if (said.due() == null) {
            builds.deleteCommitment(date.id());
            return;
        }
        if (parkedUntil == null) {
            throw new ValidationException(
                    "dates", date.name() + " cannot be promised while nobody knows when the car comes back.");
        }
        if (!said.due().isAfter(parkedUntil)) {
            throw new ValidationException("dates", date.name() + " would be due while the car is parked.");
        }
        builds.moveDate(date.id(), said.due());
    }

    /** Back into the plan, with all that was to be done. */
    @ManagerOnly
    void takeBack(String id) {
        journal.judge(() -> {
            String name = builds.name(id).orElseThrow(() -> new NotFoundException("build"));
            if (!builds.isParked(id)) {
                return null;
            }
            builds.takeBack(id);
            return "took " + name + " back into the plan";
        });
    }

    /** Adds a build without work. */
    @ManagerOnly
    public String add(BuildRequest form) {
        String id = NewId.next();
        journal.change("took in " + (form.number() + " " + form.name()).strip(), () -> builds.insert(id, form));
        return id;
    }

    /** Adds what is no car, for work without one; within the change that is open. */
    @LeadOrManager
    public String addWithoutCar(String name) {
        String id = NewId.next();
        builds.insert(id, new BuildRequest("", name, Body.NONE, "", "", 1, 2, 2, 2, 2, 2, 0));
        return id;
    }

    @ManagerOnly
    void remove(String id) {
        journal.judge(() -> {
            String name = builds.name(id).orElseThrow(() -> new NotFoundException("build"));
            builds.delete(id);
            return "removed the build " + name;
        });
    }

    @LeadOrManager
    public String addCommitment(CommitmentRequest form) {
        check(form);
        String id = NewId.next();
        String build = builds.name(form.buildId()).orElseThrow(() -> new NotFoundException("build"));
        journal.change("promised " + form.name() + " for " + build, () -> {
            builds.insertCommitment(id, form);
            goAlong(id, form);
        });
        return id;
    }

    @LeadOrManager
    void changeCommitment(String id, CommitmentRequest form) {
        check(form);
        journal.change("changed the date " + form.name(), () -> {
            if (!builds.updateCommitment(id, form)) {
                throw new ConflictException("Somebody else changed or removed this date meanwhile.", 0, List.of());
            }
            goAlong(id, form);
        });
    }

    @LeadOrManager
    void removeCommitment(String id) {
        journal.judge(() -> {
            String name = builds.commitmentName(id).orElseThrow(() -> new NotFoundException("date"));
            builds.deleteCommitment(id);
            return "took back the date " + name;
        });
    }

    /** Moves a date and what goes along with it, within the change that is open. */
    public void moveCommitment(String id, CommitmentRequest form) {
        builds.moveDate(id, form.name(), form.due());
        goAlong(id, form);
    }

    /** Nobody and nothing goes along to two places at once. */
    private void goAlong(String id, CommitmentRequest form) {
        OutingRequest outing = form.outing();
        if (outing != null) {
            if (!outing.back().isAfter(form.due())) {
                throw new ValidationException("back", "The car comes back after it leaves.");
            }
            outings.personElsewhere(id, form.due(), outing).ifPresent(said -> {
                throw new ValidationException("crew", said + ".");
            });
            outings.stationElsewhere(id, form.due(), outing).ifPresent(said -> {
                throw new ValidationException("takes", said + ".");
            });
        }
        outings.keep(id, outing);
    }

    private void check(CommitmentRequest form) {

        if (form.due().isBefore(clock.instant())) {
            throw new ValidationException("due", "The date has passed already; a promise lies ahead.");
        }
    }

    @LeadOrManager
    void madeGood(String id) {
        journal.change("made good what was fitted for now", () -> {
            if (!fittedForNow.madeGood(id, clock.instant())) {
                throw new NotFoundException("thing fitted for now");
            }
        });
    }

    /** Notes that something was fitted that must be made good before the gate. */
    public void fittedForNow(String build, String what, Gate gate) {
        fittedForNow.insert(build, what, "", gate, clock.instant());
    }
}
