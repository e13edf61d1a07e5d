package galecrest.server.work;

import galecrest.core.shop.Problem;
import galecrest.core.work.ReasonTag;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.ValidationException;
import galecrest.server.rate.RatesService;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** Writing down jobs, outside work and running-in. */
@Service
public class WorkService {

    private final WorkRepository works;
    private final HoldRepository holds;
    private final LinkRepository links;
    private final WorkDateRepository dates;
    private final RatesService rates;
    private final Journal journal;

    WorkService(
            WorkRepository works,
            HoldRepository holds,
            LinkRepository links,
            WorkDateRepository dates,
            RatesService rates,
            Journal journal) {
        this.rates = rates;
        this.dates = dates;
        this.works = works;
        this.holds = holds;
        this.links = links;
        this.journal = journal;
    }

    @LeadOrManager
    String addJob(JobRequest form) {
        return insertJob(form, false);
    }

    /** Adds a job that was written down or found. */
    public String insertJob(JobRequest form, boolean finding) {
        ValidationException.throwIfAny(form.spec().problems());
        String id = NewId.next();
        String summary = (finding ? "found: " : "added the job ") + form.spec().name();
        journal.change(summary, () -> {
            works.insertJob(id, form, finding);
            form.after().forEach(first -> links.insertPlainLink(first, id));
        });
        return id;
    }

    /** Adds what was found on a car; over the house limit it waits for the customer's yes. */
    public String insertFinding(JobRequest form) {
        String id = insertJob(form, true);
        if (rates.asksCustomer(
                form.buildId(), form.spec().likelyMinutes(), form.spec().crew().size())) {
            works.asksCustomer(id);
            waitsForAnAnswer(id, "the customer's yes, over the house limit");
        }
        return id;
    }

    /** Holds work for a decision, within the change that is open. */
    public void waitsForAnAnswer(String id, String note) {
        holds.hold(id, ReasonTag.DECIDE, note, null, null);
    }

    /** Lets work go ahead that waited for a decision, within the change that is open. */
    public void goesAhead(String id) {
        holds.decided(id);
    }

    /** What the customer reads instead of the name of a piece of work; blank for nothing of their own. */
    @LeadOrManager
    void nameForCustomer(String id, CustomerNameRequest form) {
        String name = form.name().strip();
        journal.judge(() -> {
            WorkSummary head = works.mustBe(id);
            works.nameForCustomer(id, name.isEmpty() ? null : name);
            return name.isEmpty()
                    ? head.name() + " has no name for the customer"
                    : "the customer reads \"" + name + "\" for " + head.name();
        });
    }

    @LeadOrManager
    void changeJob(String id, JobRequest form) {
        WorkSummary head = works.mustBe(id);
        ValidationException.throwIfAny(form.spec().problems());
        journal.change("changed the job " + head.name(), () -> {
            JobRow there = works.job(id);
            if (!works.updateJob(id, form)) {
                throw new ConflictException(
                        "Somebody else changed \"" + head.name() + "\" while you had it open. Nothing of yours is lost:"
                                + " look at what differs, then save again or drop it.",
                        works.mustBe(id).version(),
                        differences(form, there));
            }
        });
    }

    private static List<ConflictException.Difference> differences(JobRequest mine, JobRow theirs) {
        List<ConflictException.Difference> all = new ArrayList<>();
        differ(all, "name", mine.spec().name(), theirs.name());
        differ(all, "stage", mine.stage() == null ? "" : mine.stage(), theirs.stage());
        differ(all, "zone", mine.spec().zone(), theirs.zone());
        differ(all, "lowMinutes", mine.spec().lowMinutes(), theirs.lowMinutes());
        differ(all, "likelyMinutes", mine.spec().likelyMinutes(), theirs.likelyMinutes());
        differ(all, "highMinutes", mine.spec().highMinutes(), theirs.highMinutes());
        differ(all, "gate", mine.spec().gate(), theirs.gate());
        differ(all, "essential", mine.spec().essential(), theirs.essential());
        differ(all, "note", mine.note(), theirs.note());
        return all;
    }

    private static void differ(List<ConflictException.Difference> all, String field, Object mine, Object theirs) {
        if (!String.valueOf(mine).equals(String.valueOf(theirs))) {
            all.add(new ConflictException.Difference(field, String.valueOf(mine), String.valueOf(theirs)));
        }
    }

    /** Says which date of its car a piece of work is for. */
    @LeadOrManager
    public void belongTo(String id, WorkDateRequest form) {
        journal.judge(() -> {
            WorkSummary head = works.mustBe(id);
            if (form.thereId() != null) {
                return doneThere(id, head, form.thereId());
            }
            if (form.dateId() == null) {
                dates.belongTo(id, null, form.afterDates());
                return head.name()
                        + (form.afterDates() ? " is for after all dates" : " is for the next date that needs it");
            }
            WorkDateRepository.DateOfCar date = dateOfCar(head, form.dateId());
            if (!head.gate().upTo(date.gate())) {
                throw new ValidationException(
                        "dateId",
                        date.name() + " asks for less than what this job is needed for; change \"needed by\" first.");
            }
            dates.belongTo(id, form.dateId(), false);
            return head.name() + " is for " + date.name();
        });
    }

    private String doneThere(String id, WorkSummary head, String dateId) {
        WorkDateRepository.DateOfCar date = dateOfCar(head, dateId);
        if (!date.away()) {
            throw new ValidationException("dateId", "The car does not leave for " + date.name() + ".");
        }
        if (!head.kind().equals("JOB")) {
            throw new ValidationException("dateId", "Only a job can be done there.");
        }
        dates.doneThere(id, dateId);
        return head.name() + " is done at " + date.name();
    }

    private WorkDateRepository.DateOfCar dateOfCar(WorkSummary head, String dateId) {
        return dates.date(dateId)
                .filter(d -> d.buildId().equals(head.buildId()))
                .orElseThrow(() -> new ValidationException("dateId", "That is no date of this car."));
    }

    @LeadOrManager
    String addOutwork(OutworkRequest form) {
        ValidationException.throwIfAny(problems(form));
        return journal.change("added the outside work " + form.name(), () -> insertOutwork(form));
    }

    /** Writes outside work that has been checked, within the change that is open; answers its id. */
    public String insertOutwork(OutworkRequest form) {
        String id = NewId.next();
        works.insertOutwork(id, form);
        form.after().forEach(first -> links.insertPlainLink(first, id));
        return id;
    }

    @LeadOrManager
    void changeOutwork(String id, OutworkRequest form) {
        WorkSummary head = works.mustBe(id);
        ValidationException.throwIfAny(problems(form));
        journal.change("changed the outside work " + head.name(), () -> {
            if (!works.updateOutwork(id, form)) {
                throw new ConflictException(
                        "Somebody else changed \"" + head.name() + "\" meanwhile.",
                        works.mustBe(id).version(),
                        List.of());
            }
        });
    }

    /** What is wrong with the form. */
    public static List<Problem> problems(OutworkRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (form.lowDays() < 0 || form.lowDays() > form.likelyDays() || form.likelyDays() > form.highDays()) {
            problems.add(new Problem("lowDays", "The turnaround must be low ≤ likely ≤ high working days."));
        }
        boolean half = (form.slotFrom() == null) != (form.slotTo() == null);
        if (half || form.slotFrom() != null && !form.slotFrom().isBefore(form.slotTo())) {
            problems.add(new Problem("slotTo", "A slot needs a start and a later end."));
        }
        return problems;
    }

    @LeadOrManager
    String addRunningIn(RunningInRequest form) {
        check(form);
        String id = NewId.next();
        journal.change("added the running-in " + form.name(), () -> {
            works.insertRunningIn(id, form);
            form.after().forEach(first -> links.insertPlainLink(first, id));
        });
        return id;
    }

    @LeadOrManager
    void changeRunningIn(String id, RunningInRequest form) {
        WorkSummary head = works.mustBe(id);
        check(form);
        journal.change("changed the running-in " + head.name(), () -> {
            if (!works.updateRunningIn(id, form)) {
                throw new ConflictException(
                        "Somebody else changed \"" + head.name() + "\" meanwhile.",
                        works.mustBe(id).version(),
                        List.of());
            }
        });
    }

    private static void check(RunningInRequest form) {
        if (form.doneKm() < 0 || form.doneKm() > form.distanceKm()) {
            throw new ValidationException("doneKm", "What is driven so far is between 0 and the whole distance.");
        }
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            String name = works.mustBe(id).name();
            works.delete(id);
            return "removed " + name;
        });
    }

    /** Removes work within the change that is open; false, and it stays, where somebody has begun it. */
    public boolean removeIfNotBegun(String id) {
        boolean untouched = !works.isBegun(id);
        if (untouched) {
            works.delete(id);
        }
        return untouched;
    }
}
