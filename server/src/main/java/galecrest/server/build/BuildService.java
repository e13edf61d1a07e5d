package galecrest.server.build;

import galecrest.core.build.Gate;
import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** Builds as a whole, and what was promised of them. */
@Service
public class BuildService {
    private final BuildRepository builds;
    private final FittedForNowRepository fittedForNow;
    private final Journal journal;
    private final Clock clock;

    BuildService(BuildRepository builds, FittedForNowRepository fittedForNow, Journal journal, Clock clock) {
        this.builds = builds;
        this.fittedForNow = fittedForNow;
        this.journal = journal;
        this.clock = clock;
    }

    @ManagerOnly
    void change(String id, BuildRequest form) {
        ValidationException.throwIfAny(problems(form));
        journal.change("changed the build " + form.name(), () -> {
            builds.name(id).orElseThrow(() -> new NotFoundException("build"));
            if (!builds.update(id, form)) {
                throw new ConflictException("Somebody else changed this build meanwhile.", 0, List.of());
            }
        });
    }

    /** Adds a build without work. */
    @ManagerOnly
    public String add(BuildRequest form) {
        ValidationException.throwIfAny(problems(form));
        String id = NewId.next();
        journal.change("took in " + (form.number() + " " + form.name()).strip(), () -> builds.insert(id, form));
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

    /** What is wrong with a build's own fields. */
    public static List<Problem> problems(BuildRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (form.name().isBlank() || form.name().length() > 80) {
            problems.add(new Problem("name", "A build needs a name of 1 to 80 characters."));
        }
        if (form.number().length() > 6) {
            problems.add(new Problem("number", "A number has at most 6 characters."));
        }
        if (!(form.weight() > 0 && form.weight() <= 100)) {
            problems.add(new Problem("weight", "The weight is more than 0 and at most 100."));
        }
        int[] limits = {
            form.limitFront(), form.limitEngineBay(), form.limitCockpit(), form.limitUnderside(), form.limitRear()
        };
        for (int limit : limits) {
            if (limit < 1 || limit > 9) {
                problems.add(new Problem("limitFront", "Between 1 and 9 people fit in a zone."));
                break;
            }
        }
        return problems;
    }

    @LeadOrManager
    public String addCommitment(CommitmentRequest form) {
        check(form);
        String id = NewId.next();
        String build = builds.name(form.buildId()).orElseThrow(() -> new NotFoundException("build"));
        journal.change("promised " + form.name() + " for " + build, () -> builds.insertCommitment(id, form));
        return id;
    }

    @LeadOrManager
    void changeCommitment(String id, CommitmentRequest form) {
        check(form);
        journal.change("changed the date " + form.name(), () -> {
            if (!builds.updateCommitment(id, form)) {
                throw new ConflictException("Somebody else changed or removed this date meanwhile.", 0, List.of());
            }
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

    private void check(CommitmentRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (form.name().isBlank()) {
            problems.add(new Problem("name", "A date needs a name, such as the event."));
        }
        if (form.due().isBefore(clock.instant())) {
            problems.add(new Problem("due", "The date has passed already; a promise lies ahead."));
        }
        if (!(form.weight() > 0 && form.weight() <= 100)) {
            problems.add(new Problem("weight", "The weight is more than 0 and at most 100."));
        }
        ValidationException.throwIfAny(problems);
    }

    @LeadOrManager
    void called(String id) {
        journal.change("made a promised call", () -> {
            if (!builds.called(id, clock.instant())) {
                throw new NotFoundException("promised call");
            }
        });
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
