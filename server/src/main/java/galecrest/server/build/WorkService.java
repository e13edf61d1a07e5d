package galecrest.server.build;

import galecrest.core.build.BuildId;
import galecrest.core.build.Job;
import galecrest.core.build.Link;
import galecrest.core.build.LinkId;
import galecrest.core.build.Pin;
import galecrest.core.build.PinId;
import galecrest.core.build.Work;
import galecrest.core.build.WorkId;
import galecrest.core.people.PersonId;
import galecrest.core.people.WorkedTime;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.SnapshotCheck;
import galecrest.core.shop.Problem;
import galecrest.core.shop.StationId;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.access.Who;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.BadInput;
import galecrest.server.problem.ChangedMeanwhile;
import galecrest.server.problem.NotThere;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Jobs and outwork: writing them down, doing them, tying them together, pinning them. */
@Service
public class WorkService {
    private static final int MOST_LAG_MINUTES = 60 * 24 * 60;
    /** The least that is left of a paused job, in minutes. */
    private static final int LEAST_REMAINING = 15;

    private final WorkRepository works;
    private final LinkRepository links;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;
    private final Who who;

    WorkService(WorkRepository works, LinkRepository links, PlanService plans, Journal journal, Clock clock, Who who) {
        this.works = works;
        this.links = links;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    private WorkRepository.Head head(String id) {
        return works.head(id).orElseThrow(() -> new NotThere("job or outside work"));
    }

    @LeadOrManager
    String addJob(BuildController.JobForm form) {
        return insertJob(form, false);
    }

    /** Adds a job that was written down or found. */
    public String insertJob(BuildController.JobForm form, boolean finding) {
        BadInput.throwIfAny(form.spec().problems());
        String id = NewId.next();
        String summary = (finding ? "found: " : "added the job ") + form.spec().name();
        journal.change(summary, () -> {
            works.insertJob(id, form, finding);
            form.after().forEach(first -> links.insertPlainLink(first, id));
        });
        return id;
    }

    @LeadOrManager
    void changeJob(String id, BuildController.JobForm form) {
        WorkRepository.Head head = head(id);
        BadInput.throwIfAny(form.spec().problems());
        journal.change("changed the job " + head.name(), () -> {
            WorkRepository.JobRow there = works.job(id);
            if (!works.updateJob(id, form)) {
                throw new ChangedMeanwhile(
                        "Somebody else changed \"" + head.name() + "\" while you had it open. Nothing of yours is lost:"
                                + " look at what differs, then save again or drop it.",
                        head(id).version(),
                        differences(form, there));
            }
        });
    }

    private static List<ChangedMeanwhile.Difference> differences(
            BuildController.JobForm mine, WorkRepository.JobRow theirs) {
        List<ChangedMeanwhile.Difference> all = new ArrayList<>();
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

    private static void differ(List<ChangedMeanwhile.Difference> all, String field, Object mine, Object theirs) {
        if (!String.valueOf(mine).equals(String.valueOf(theirs))) {
            all.add(new ChangedMeanwhile.Difference(field, String.valueOf(mine), String.valueOf(theirs)));
        }
    }

    @LeadOrManager
    String addOutwork(BuildController.OutworkForm form) {
        BadInput.throwIfAny(problems(form));
        return journal.change("added the outside work " + form.name(), () -> insertOutwork(form));
    }

    /** Writes outside work that has been checked, within the change that is open; answers its id. */
    public String insertOutwork(BuildController.OutworkForm form) {
        String id = NewId.next();
        works.insertOutwork(id, form);
        form.after().forEach(first -> links.insertPlainLink(first, id));
        return id;
    }

    @LeadOrManager
    void changeOutwork(String id, BuildController.OutworkForm form) {
        WorkRepository.Head head = head(id);
        BadInput.throwIfAny(problems(form));
        journal.change("changed the outside work " + head.name(), () -> {
            if (!works.updateOutwork(id, form)) {
                throw new ChangedMeanwhile(
                        "Somebody else changed \"" + head.name() + "\" meanwhile.", head(id).version(), List.of());
            }
        });
    }

    /** What is wrong with the form. */
    public static List<Problem> problems(BuildController.OutworkForm form) {
        List<Problem> problems = new ArrayList<>();
        if (form.name().isBlank()) {
            problems.add(new Problem("name", "Outside work needs a name."));
        }
        if (form.outMinutes() < 0
                || form.backMinutes() < 0
                || form.outMinutes() > 20_000
                || form.backMinutes() > 20_000) {
            problems.add(new Problem("outMinutes", "The way takes between 0 and 20 000 min."));
        }
        if (form.lowDays() < 0 || form.lowDays() > form.likelyDays() || form.likelyDays() > form.highDays()) {
            problems.add(new Problem("lowDays", "The turnaround must be low ≤ likely ≤ high working days."));
        }
        if (form.highDays() > 250) {
            problems.add(new Problem("highDays", "A turnaround of more than 250 working days cannot be planned."));
        }
        if (form.inspectionMinutes() < 0 || form.inspectionMinutes() > 10_000) {
            problems.add(new Problem("inspectionMinutes", "The inspection takes 0 to 10 000 min."));
        }
        boolean half = (form.slotFrom() == null) != (form.slotTo() == null);
        if (half || form.slotFrom() != null && !form.slotFrom().isBefore(form.slotTo())) {
            problems.add(new Problem("slotTo", "A slot needs a start and a later end."));
        }
        return problems;
    }

    @LeadOrManager
    String addRunningIn(BuildController.RunningInForm form) {
        check(form);
        String id = NewId.next();
        journal.change("added the running-in " + form.name(), () -> {
            works.insertRunningIn(id, form);
            form.after().forEach(first -> links.insertPlainLink(first, id));
        });
        return id;
    }

    @LeadOrManager
    void changeRunningIn(String id, BuildController.RunningInForm form) {
        WorkRepository.Head head = head(id);
        check(form);
        journal.change("changed the running-in " + head.name(), () -> {
            if (!works.updateRunningIn(id, form)) {
                throw new ChangedMeanwhile(
                        "Somebody else changed \"" + head.name() + "\" meanwhile.", head(id).version(), List.of());
            }
        });
    }

    private static void check(BuildController.RunningInForm form) {
        List<Problem> problems = new ArrayList<>();
        if (form.name().isBlank()) {
            problems.add(new Problem("name", "Running-in needs a name."));
        }
        if (form.distanceKm() < 1 || form.distanceKm() > 10_000) {
            problems.add(new Problem("distanceKm", "The distance is between 1 and 10 000 km."));
        }
        if (form.doneKm() < 0 || form.doneKm() > form.distanceKm()) {
            problems.add(new Problem("doneKm", "What is driven so far is between 0 and the whole distance."));
        }
        if (form.perDayKm() < 1) {
            problems.add(new Problem("perDayKm", "A day's drive is at least 1 km."));
        }
        if (form.perDayMinutes() < 5 || form.perDayMinutes() > 720) {
            problems.add(new Problem("perDayMinutes", "A day's drive takes 5 min to 12 h."));
        }
        if (form.skill().isBlank()) {
            problems.add(new Problem("skill", "Say the skill of who drives."));
        }
        BadInput.throwIfAny(problems);
    }

    private Optional<Plan.Placed> placed(String id) {
        return plans.current().plan().placed().stream()
                .filter(p -> p.work().value().equals(id))
                .findFirst();
    }

    @LeadOrManager
    void remove(String id) {
        String name = head(id).name();
        journal.change("removed " + name, () -> works.delete(id));
    }

    /**
     * Starts a job with the crew and at the station that the plan has for it, or with who starts it alone. Nobody is on
     * two jobs at once: what one of them was on is paused.
     */
    @AnyHand
    void start(String id) {
        WorkRepository.Head head = head(id);
        if (!head.kind().equals("JOB") || head.status().equals("DONE")) {
            throw new BadInput("start", head.name() + " cannot be started: it is done, or nothing the shop does.");
        }
        Optional<Plan.Placed> placed = placed(id);
        String me = who.account().personId();
        List<String> planned =
                placed.map(p -> p.crew().stream().map(PersonId::value).toList()).orElse(List.of());
        List<String> by = me == null || planned.contains(me) ? planned : List.of(me);
        String station =
                placed.flatMap(Plan.Placed::station).map(StationId::value).orElse(null);
        List<Job> left = goingOnWith(by, id);
        ShopSnapshot shop = plans.current().shop();
        journal.change("started " + head.name(), () -> {
            left.forEach(job -> {
                clockOff(shop, job.id().value());
                works.pause(job.id().value(), (int) job.toDo().value());
            });
            works.start(id, clock.instant(), by, station);
        });
    }

    private List<Job> goingOnWith(List<String> people, String except) {
        return plans.current().shop().works().stream()
                .filter(w -> w instanceof Job && !w.id().value().equals(except))
                .map(w -> (Job) w)
                .filter(j -> j.started().isPresent()
                        && j.started().get().by().stream().anyMatch(p -> people.contains(p.value())))
                .toList();
    }

    @AnyHand
    void pause(String id) {
        WorkRepository.Head head = started(id);
        int remaining = remaining(id);
        ShopSnapshot shop = plans.current().shop();
        journal.change("paused " + head.name(), () -> {
            clockOff(shop, id);
            works.pause(id, remaining);
        });
    }

    /** Writes down how long those who were on the job have worked since it was started. */
    private void clockOff(ShopSnapshot shop, String id) {
        Instant now = clock.instant();
        shop.works().stream()
                .filter(w -> w.id().value().equals(id) && w instanceof Job)
                .flatMap(w -> ((Job) w).started().stream())
                .forEach(started -> shop.people().stream()
                        .filter(p -> started.by().contains(p.id()))
                        .forEach(p -> works.worked(
                                id, p.id().value(), WorkedTime.of(p, started.at(), now, shop.zone()), now)));
    }

    private WorkRepository.Head started(String id) {
        WorkRepository.Head head = head(id);
        if (!head.status().equals("STARTED")) {
            throw new BadInput("pause", head.name() + " has not been started, or is done.");
        }
        return head;
    }

    /** What is left by the plan's reckoning. */
    private int remaining(String id) {
        return plans.current().shop().works().stream()
                .filter(w -> w.id().value().equals(id) && w instanceof Job)
                .map(w -> (int) ((Job) w).toDo().value())
                .findFirst()
                .orElse(LEAST_REMAINING);
    }

    @AnyHand
    void done(String id) {
        WorkRepository.Head head = head(id);
        if (head.status().equals("DONE")) {
            throw new BadInput("done", head.name() + " is done already.");
        }
        ShopSnapshot shop = plans.current().shop();
        journal.change("finished " + head.name(), () -> {
            clockOff(shop, id);
            works.done(id, clock.instant());
        });
    }

    /** Marks outside work as done, within the change that is open. */
    public void isBack(String id) {
        works.done(id, clock.instant());
    }

    @AnyHand
    void hold(String id, BuildController.HoldForm form) {
        WorkRepository.Head head = head(id);
        if (form.note().isBlank()) {
            throw new BadInput("note", "Say in a word or two what holds it.");
        }
        if (head.status().equals("DONE")) {
            throw new BadInput("note", head.name() + " is done already.");
        }
        boolean going = head.status().equals("STARTED") && head.kind().equals("JOB");
        int remaining = going ? remaining(id) : 0;
        ShopSnapshot shop = plans.current().shop();
        journal.change("held " + head.name() + ": " + form.reason().name() + ", " + form.note(), () -> {
            works.hold(id, form);
            if (going) {
                clockOff(shop, id);
                works.pause(id, remaining);
            }
        });
    }

    @AnyHand
    void release(String id) {
        WorkRepository.Head head = head(id);
        journal.change("released " + head.name(), () -> works.release(id));
    }

    @LeadOrManager
    String addLink(BuildController.LinkForm form) {
        List<Problem> problems = new ArrayList<>();
        if (form.lagMinutes() < 0 || form.lagMinutes() > MOST_LAG_MINUTES) {
            problems.add(new Problem("lagMinutes", "A lag is between 0 and 60 days."));
        }
        if (form.riskChance() != null && !(form.riskChance() >= 0 && form.riskChance() <= 1)) {
            problems.add(new Problem("riskChance", "A chance is between 0 and 1."));
        }
        if (form.firstId().equals(form.thenId())) {
            problems.add(new Problem("firstId", "A job cannot wait for itself."));
        }
        BadInput.throwIfAny(problems);
        WorkRepository.Head first = head(form.firstId());
        WorkRepository.Head then = head(form.thenId());
        String id = NewId.next();
        journal.change(then.name() + " now waits for " + first.name(), () -> {
            noCircle(form);
            links.insertLink(id, form);
        });
        return id;
    }

    private void noCircle(BuildController.LinkForm form) {
        ShopSnapshot shop = plans.shopAsWritten();
        List<Link> all = new ArrayList<>(shop.links());
        all.add(Link.finishStart(new LinkId("new"), new WorkId(form.firstId()), new WorkId(form.thenId())));
        SnapshotCheck.circle(shop.works(), all).ifPresent(names -> {
            throw new BadInput("firstId", "That would close a circle: " + String.join(" → ", names) + ".");
        });
    }

    @LeadOrManager
    void removeLink(String id) {
        journal.change("untied two jobs", () -> {
            if (!links.deleteLink(id)) {
                throw new NotThere("link");
            }
        });
    }

    @ManagerOnly
    String addPin(BuildController.PinForm form) {
        WorkRepository.Head head = head(form.workId());
        String id = NewId.next();
        Pin pin = pin(id, form);
        journal.draft("pinned " + head.name(), () -> {
            links.deletePins(form.workId(), form.kind());
            links.insertPin(id, form);
            plans.mustHold(pin);
        });
        return id;
    }

    private Pin pin(String id, BuildController.PinForm form) {
        PinId pin = new PinId(id);
        WorkId work = new WorkId(form.workId());
        return switch (form.kind()) {
            case PERSON -> new Pin.ToPerson(pin, work, new PersonId(said(form.personId(), "personId")));
            case STATION -> new Pin.ToStation(pin, work, new StationId(said(form.stationId(), "stationId")));
            case AFTER -> new Pin.After(pin, work, new WorkId(said(form.firstId(), "firstId")));
            case NOT_BEFORE -> new Pin.NotBefore(pin, work, said(form.at(), "at"));
            case EXACTLY -> new Pin.Exactly(pin, work, said(form.at(), "at"));
        };
    }

    private static <T> T said(@Nullable T value, String field) {
        if (value == null) {
            throw new BadInput(field, "This kind of pin needs it.");
        }
        return value;
    }

    @ManagerOnly
    void removePin(String id) {
        String work = links.pinnedWork(id).orElseThrow(() -> new NotThere("pin"));
        journal.draft("unpinned " + head(work).name(), () -> links.deletePin(id));
    }

    /** The open work of a build, as planned: what a captured hold applies to. */
    Optional<Work> nextOf(String build) {
        var current = plans.current();
        var report = galecrest.core.plan.CarReport.all(current.shop(), current.plan()).stream()
                .filter(r -> r.build().equals(new BuildId(build)))
                .findFirst();
        Optional<WorkId> id = report.flatMap(r -> r.doing().stream().findFirst().or(r::next));
        return id.flatMap(w ->
                current.shop().works().stream().filter(x -> x.id().equals(w)).findFirst());
    }
}
