package galecrest.server.sheet;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.sheet.CaptureLine;
import galecrest.core.sheet.JobSheet;
import galecrest.core.sheet.JobSpec;
import galecrest.core.shop.Problem;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Work;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Role;
import galecrest.server.build.BuildService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import galecrest.server.work.HoldRequest;
import galecrest.server.work.JobRequest;
import galecrest.server.work.ProgressService;
import galecrest.server.work.WorkService;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** Turns the capture line into the right thing; what a hand adds is a finding. */
@Service
public class CaptureService {
    /** The skill of a captured job that names none, where the shop has it. */
    private static final String USUAL_SKILL = "fit";

    private final WorkService works;
    private final ProgressService progress;
    private final BuildService builds;
    private final PlanService plans;
    private final Journal journal;
    private final CurrentUser who;

    CaptureService(
            WorkService works,
            ProgressService progress,
            BuildService builds,
            PlanService plans,
            Journal journal,
            CurrentUser who) {
        this.works = works;
        this.progress = progress;
        this.builds = builds;
        this.plans = plans;
        this.journal = journal;
        this.who = who;
    }

    @AnyHand
    CapturedResponse capture(String build, String text) {
        CaptureLine.Captured captured = CaptureLine.read(text);
        if (captured instanceof CaptureLine.NotUnderstood not) {
            throw new ValidationException("text", not.why());
        } else if (captured instanceof CaptureLine.ForNow forNow) {
            journal.change(
                    "fitted for now: " + forNow.what(), () -> builds.fittedForNow(build, forNow.what(), Gate.EVENT));
            return new CapturedResponse("Fitted for now, to be made good before the event.", null);
        } else if (captured instanceof CaptureLine.Held held) {
            Work next = progress.nextOf(build)
                    .orElseThrow(() -> new ValidationException("text", "There is no open work on this car to hold."));
            progress.hold(next.id().value(), new HoldRequest(held.reason(), held.note(), null));
            return new CapturedResponse("Held: " + next.name() + ".", next.id().value());
        }
        CaptureLine.NewJob job = (CaptureLine.NewJob) captured;
        boolean finding = job.finding() || who.account().role() == Role.HAND;
        String id = works.insertJob(form(build, job, finding), finding);
        String time = job.timeSaid() ? "" : " An hour is assumed until you say.";
        return new CapturedResponse((finding ? "Finding: " : "Job: ") + job.name() + "." + time, id);
    }

    /** What a car came back with as lines of a sheet, each a job as on the capture line; blank ones are passed over. */
    @LeadOrManager
    public List<JobSheet.Line> lines(List<String> texts) {
        List<JobSheet.Line> lines = new ArrayList<>();
        for (int i = 0; i < texts.size(); i++) {
            if (texts.get(i).isBlank()) {
                continue;
            }
            CaptureLine.Captured captured = CaptureLine.read(texts.get(i));
            if (!(captured instanceof CaptureLine.NewJob job)) {
                String why = captured instanceof CaptureLine.NotUnderstood not ? not.why() : "That is no job.";
                throw new ValidationException("lines", "Line " + (i + 1) + ": " + why);
            }
            JobSpec spec = spec(job);
            int line = i + 1;
            ValidationException.throwIfAny(spec.problems().stream()
                    .map(p -> new Problem("lines", "Line " + line + ": " + p.message()))
                    .toList());
            lines.add(new JobSheet.Line(line, "came-back-" + line, "", spec, "", List.of(), Optional.empty()));
        }
        return lines;
    }

    /**
     * Adds the job that puts right what was found, before that gate; within the change that is open. Returns its id.
     *
     * @param skill from {@link #usualSkill}, asked before the change
     */
    public String finding(String build, String what, Optional<Zone> zone, int minutes, Gate gate, String skill) {
        JobSpec spec = spec(new CaptureLine.NewJob(what, zone, minutes, true, Optional.of(skill), true))
                .withGate(gate);
        return works.insertJob(new JobRequest(build, "Findings", spec, null, "", List.of(), 0), true);
    }

    private JobRequest form(String build, CaptureLine.NewJob job, boolean finding) {
        return new JobRequest(build, finding ? "Findings" : null, spec(job), null, "", List.of(), 0);
    }

    private JobSpec spec(CaptureLine.NewJob job) {
        int likely = job.minutes();
        return new JobSpec(
                job.name(),
                job.zone().orElse(Zone.ENGINE_BAY),
                true,
                false,
                Math.max(5, likely / 2),
                likely,
                likely * 2,
                List.of(new CrewPlace(job.skill().orElseGet(this::usualSkill), Level.LEARNER)),
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
        for (Person person : plans.current().shop().people()) {
            person.skills().keySet().forEach(s -> counts.merge(s, 1, Integer::sum));
        }
        return counts.containsKey(USUAL_SKILL)
                ? USUAL_SKILL
                : counts.entrySet().stream()
                        .max(Comparator.comparingInt((Map.Entry<String, Integer> e) -> e.getValue()))
                        .map(Map.Entry::getKey)
                        .orElse(USUAL_SKILL);
    }
}
