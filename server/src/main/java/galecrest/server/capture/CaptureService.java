package galecrest.server.capture;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.sheet.CaptureLine;
import galecrest.core.sheet.Captured;
import galecrest.core.sheet.JobSpec;
import galecrest.core.sheet.SheetLine;
import galecrest.core.sheet.Vocabulary;
import galecrest.core.shop.Problem;
import galecrest.core.time.Minutes;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Role;
import galecrest.server.build.BuildService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import galecrest.server.progress.CatchUpService;
import galecrest.server.progress.HoldRequest;
import galecrest.server.progress.ProgressService;
import galecrest.server.work.JobRequest;
import galecrest.server.work.PinningService;
import galecrest.server.work.WorkDateRequest;
import galecrest.server.work.WorkService;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Turns the capture line into the right thing; what a hand adds is a finding. */
@Service
public class CaptureService {
    /** The skill of a captured job that names none, where the shop has it. */
    private static final String USUAL_SKILL = "fit";

    private final WorkService works;
    private final PinningService pinning;
    private final CatchUpService catchUp;
    private final VocabularyService vocabularies;
    private final ProgressService progress;
    private final BuildService builds;
    private final PlanService plans;
    private final Journal journal;
    private final CurrentUser who;

    CaptureService(
            WorkService works,
            PinningService pinning,
            CatchUpService catchUp,
            VocabularyService vocabularies,
            ProgressService progress,
            BuildService builds,
            PlanService plans,
            Journal journal,
            CurrentUser who) {
        this.works = works;
        this.pinning = pinning;
        this.catchUp = catchUp;
        this.vocabularies = vocabularies;
        this.progress = progress;
        this.builds = builds;
        this.plans = plans;
        this.journal = journal;
        this.who = who;
    }

    /** What a line would be taken as; writes nothing. */
    @AnyHand
    UnderstoodResponse understand(String build, CaptureRequest form) {
        PlanService.Current now = plans.current();
        Captured captured = CaptureLine.read(
                form.text(), vocabularies.of(now.shop(), build, progress.nearest(now, build)), form.picked());
        boolean asks = captured instanceof Captured.Asks;
        return new UnderstoodResponse(
                as(captured).said(),
                !asks && !(captured instanceof Captured.NotUnderstood),
                captured instanceof Captured.Asks question
                        ? question.choices().stream()
                                .map(c -> new UnderstoodResponse.Choice(c.id(), c.name()))
                                .toList()
                        : List.of());
    }

    /** What a hand adds is a finding. */
    private Captured as(Captured captured) {
        return captured instanceof Captured.NewJob job && !job.done() && isHand() ? job.asFinding() : captured;
    }

    private boolean isHand() {
        return who.account().role() == Role.HAND;
    }

    @AnyHand
    CapturedResponse capture(String build, CaptureRequest form) {
        List<String> nearest = progress.nearest(plans.current(), build);
        CapturedResponse[] taken = new CapturedResponse[1];
        journal.judge(() -> {
            Captured captured = as(CaptureLine.read(
                    form.text(), vocabularies.of(plans.shopWithinChange(), build, nearest), form.picked()));
            taken[0] = new CapturedResponse(captured.said(), written(build, captured));
            return did(captured);
        });
        return taken[0];
    }

    /** What the journal says of it, where nothing that it does says it. */
    private static String did(Captured captured) {
        if (captured instanceof Captured.NewJob job) {
            return (job.finding() ? "found: " : "added the job ") + job.name();
        }
        return captured instanceof Captured.ForNow forNow ? "fitted for now: " + forNow.what() : captured.said();
    }

    /** Writes it down; returns the work that it is about. */
    private @Nullable String written(String build, Captured captured) {
        if (captured instanceof Captured.NewJob job) {
            return job.done() ? doneAlready(build, job) : added(build, job);
        } else if (captured instanceof Captured.Held held) {
            String part = held.part().map(Vocabulary.Part::id).orElse(null);
            progress.hold(held.job().id(), new HoldRequest(held.reason(), held.note(), null, part));
            return held.job().id();
        } else if (captured instanceof Captured.Finished finished) {
            finish(finished.job().id(), finished.people(), finished.took());
            return finished.job().id();
        } else if (captured instanceof Captured.NeedsMore more) {
            progress.needsMore(more.job().id(), more.more());
            return more.job().id();
        } else if (captured instanceof Captured.ForNow forNow) {
            builds.fittedForNow(build, forNow.what(), Gate.EVENT);
            return null;
        }
        throw new ValidationException("text", captured.said());
    }

    private String added(String build, Captured.NewJob job) {
        String asked = job.people().isEmpty()
                ? ""
                : "For " + job.people().stream().map(Vocabulary.Named::name).collect(Collectors.joining(" and ")) + ".";
        boolean pins = who.account().role() == Role.MANAGER;
        JobRequest form = new JobRequest(
                build,
                job.stage().orElse(job.finding() ? "Findings" : null),
                spec(job),
                null,
                pins ? "" : asked,
                List.of(),
                0);
        String id = job.finding() ? works.insertFinding(form) : works.insertJob(form, false);
        if (!isHand()) {
            job.date().ifPresent(d -> works.belongTo(id, new WorkDateRequest(d.id(), false, null)));
        }
        if (pins) {
            job.people().forEach(p -> pinning.toPerson(id, p.id()));
        }
        return id;
    }

    private String doneAlready(String build, Captured.NewJob job) {
        String id = works.insertJob(
                new JobRequest(build, job.stage().orElse(null), spec(job), null, "", List.of(), 0), job.finding());
        finish(id, job.people(), job.timeSaid() ? Optional.of(job.time()) : Optional.empty());
        return id;
    }

    private void finish(String id, List<Vocabulary.Named> people, Optional<Minutes> took) {
        if (took.isEmpty()) {
            if (!people.isEmpty()) {
                throw new ValidationException("text", "How long did it take? Add \"45 min\" or \"1.5 h\".");
            }
            progress.done(id);
            return;
        }
        List<String> by = people.isEmpty()
                ? Optional.ofNullable(who.account().personId()).map(List::of).orElse(List.of())
                : people.stream().map(Vocabulary.Named::id).toList();
        if (by.isEmpty()) {
            throw new ValidationException("text", "Who did it? Add the name.");
        }
        catchUp.doneToday(id, by, took.get());
    }

    /** What a car came back with as lines of a sheet, each a job as on the capture line; blank ones are passed over. */
    @LeadOrManager
    public List<SheetLine> lines(List<String> texts) {
        List<SheetLine> lines = new ArrayList<>();
        Vocabulary words = vocabularies.ofShop(shop());
        for (int i = 0; i < texts.size(); i++) {
            if (texts.get(i).isBlank()) {
                continue;
            }
            Captured captured = CaptureLine.read(texts.get(i), words, List.of());
            if (!(captured instanceof Captured.NewJob job)) {
                String why = captured instanceof Captured.NotUnderstood not ? not.why() : "That is no job.";
                throw new ValidationException("lines", "Line " + (i + 1) + ": " + why);
            }
            JobSpec spec = spec(job);
            int line = i + 1;
            ValidationException.throwIfAny(spec.problems().stream()
                    .map(p -> new Problem("lines", "Line " + line + ": " + p.message()))
                    .toList());
            lines.add(new SheetLine(line, "came-back-" + line, "", spec, "", List.of()));
        }
        return lines;
    }

    /**
     * Adds the job that puts right what was found, before that gate; over the house limit it waits for the customer. Within
     * the change that is open. Returns its id.
     *
     * @param skill from {@link #usualSkill}, asked before the change
     */
    public String finding(String build, String what, Optional<Zone> zone, int minutes, Gate gate, String skill) {
        return works.insertFinding(putRight(build, what, zone, minutes, gate, skill));
    }

    /** The same where nobody needs to ask the customer. */
    public String ownFinding(String build, String what, Optional<Zone> zone, int minutes, Gate gate, String skill) {
        return works.insertJob(putRight(build, what, zone, minutes, gate, skill), true);
    }

    private JobRequest putRight(String build, String what, Optional<Zone> zone, int minutes, Gate gate, String skill) {
        JobSpec spec = spec(Captured.NewJob.found(what, zone, Minutes.of(minutes), skill))
                .withGate(gate);
        return new JobRequest(build, "Findings", spec, null, "", List.of(), 0);
    }

    private JobSpec spec(Captured.NewJob job) {
        int likely = (int) job.time().value();
        List<CrewPlace> crew = new ArrayList<>();
        for (int hand = 0; hand < job.hands(); hand++) {
            String skill = hand < job.skills().size()
                    ? job.skills().get(hand)
                    : job.skills().isEmpty() ? usualSkill() : job.skills().get(0);
            crew.add(new CrewPlace(skill, Level.LEARNER));
        }
        return new JobSpec(
                job.name(),
                job.zone().orElse(Zone.ENGINE_BAY),
                !job.offCar(),
                false,
                Math.max(1, Math.min(likely, Math.max(5, likely / 2))),
                likely,
                likely * 2,
                crew,
                "",
                false,
                0,
                CureLock.NOTHING,
                Gate.EVENT,
                true,
                0,
                0);
    }

    /** Fitting where somebody can; else the skill that most people have. */
    public String usualSkill() {
        Map<String, Integer> counts = new TreeMap<>();
        for (Person person : shop().people()) {
            person.skills().keySet().forEach(s -> counts.merge(s, 1, Integer::sum));
        }
        return counts.containsKey(USUAL_SKILL)
                ? USUAL_SKILL
                : counts.entrySet().stream()
                        .max(Comparator.comparingInt((Map.Entry<String, Integer> e) -> e.getValue()))
                        .map(Map.Entry::getKey)
                        .orElse(USUAL_SKILL);
    }

    /** Within a change the plan cannot be asked for, and the record is what it has written. */
    private ShopSnapshot shop() {
        return TransactionSynchronizationManager.isActualTransactionActive()
                ? plans.shopWithinChange()
                : plans.current().shop();
    }
}
