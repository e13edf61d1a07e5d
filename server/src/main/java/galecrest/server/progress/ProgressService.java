package galecrest.server.progress;

import galecrest.core.build.BuildId;
import galecrest.core.gate.GateLine;
import galecrest.core.gate.GateStatus;
import galecrest.core.insight.CarStatus;
import galecrest.core.insight.OpenBeforeGate;
import galecrest.core.people.PersonId;
import galecrest.core.people.WorkedTime;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.StationId;
import galecrest.core.time.DurationText;
import galecrest.core.time.Minutes;
import galecrest.core.work.Job;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Role;
import galecrest.server.gate.GateService;
import galecrest.server.gauge.MeasurementService;
import galecrest.server.journal.Journal;
import galecrest.server.parts.PartLineRepository;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import galecrest.server.stale.StaleGraphService;
import galecrest.server.vendor.DeliveryRepository;
import galecrest.server.work.HoldRepository;
import galecrest.server.work.WorkRepository;
import galecrest.server.work.WorkSummary;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Doing the work: starting, pausing, holding and finishing it, with the hours of those who were on it. */
@Service
public class ProgressService {
    /** What a part is called that is made a line of the words of a hold. */
    private static final int LONGEST_PART = 200;

    /** What needs longer than this yet is another job. */
    private static final Minutes MOST_MORE = Minutes.ofHours(80);

    private final WorkRepository works;
    private final ProgressRepository progress;
    private final HoldRepository holds;
    private final HappenedRepository happened;
    private final OutcomeRepository outcomes;
    private final PartLineRepository parts;
    private final DeliveryRepository deliveries;
    private final MeasurementService measured;
    private final GateService gates;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    ProgressService(
            WorkRepository works,
            ProgressRepository progress,
            HoldRepository holds,
            HappenedRepository happened,
            OutcomeRepository outcomes,
            PartLineRepository parts,
            DeliveryRepository deliveries,
            MeasurementService measured,
            GateService gates,
            PlanService plans,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.works = works;
        this.progress = progress;
        this.holds = holds;
        this.happened = happened;
        this.outcomes = outcomes;
        this.parts = parts;
        this.deliveries = deliveries;
        this.measured = measured;
        this.gates = gates;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    private Optional<Plan.Placed> placed(String id) {
        return plans.current().plan().placed().stream()
                .filter(p -> p.work().value().equals(id))
                .findFirst();
    }

    /**
     * Starts a job with the crew and at the station that the plan has for it, or with who starts it alone. Nobody is on
     * two jobs at once: what one of them was on is paused.
     */
    @AnyHand
    public void start(String id, boolean anyway) {
        Optional<Plan.Placed> placed = placed(id);
        String me = who.account().personId();
        List<String> planned =
                placed.map(p -> p.crew().stream().map(PersonId::value).toList()).orElse(List.of());
        List<String> by = me == null || planned.contains(me) ? planned : List.of(me);
        String station =
                placed.flatMap(Plan.Placed::station).map(StationId::value).orElse(null);
        journal.judge(() -> {
            WorkSummary head = works.mustBe(id);
            if (!head.kind().equals("JOB") || head.status().equals("DONE")) {
                throw new ValidationException(
                        "start", head.name() + " cannot be started: it is done, or nothing the shop does.");
            }
            notBeforeTheCustomersYes(head);
            ShopSnapshot shop = plans.shopWithinChange();
            job(shop, id).filter(ProgressService::goesOn).ifPresent(job -> {
                String on = job.started().orElseThrow().by().stream()
                        .map(new ReasonText(shop)::person)
                        .collect(Collectors.joining(" and "));
                throw new ValidationException(
                        "start",
                        on + (job.started().get().by().size() > 1 ? " are" : " is") + " on " + head.name()
                                + " already.");
            });
            Optional<GateStatus> gate = OpenBeforeGate.broughtTo(shop, new WorkId(id))
                    .flatMap(g -> gates.withinChange(head.buildId(), g))
                    .filter(g -> g.state() != GateStatus.State.PASSED);
            gate.flatMap(GateStatus::neverOpen).ifPresent(never -> {
                throw new ValidationException("start", head.name() + " cannot begin. " + never);
            });
            String open = Stream.concat(
                            OpenBeforeGate.of(shop, new WorkId(id)).stream().map(Work::name),
                            gate.stream().flatMap(ProgressService::openLines))
                    .collect(Collectors.joining(", "));
            if (!open.isEmpty() && !anyway) {
                throw new ValidationException("gate", head.name() + ", and still open is: " + open + ". Really?");
            }
            goingOnWith(shop, by).forEach(job -> pause(shop, job));
            progress.start(id, clock.instant(), by, station);
            return "started " + head.name() + (open.isEmpty() ? "" : ", though open is: " + open);
        });
    }

    /** What else than work the gate asks for and is not so. */
    private static Stream<String> openLines(GateStatus gate) {
        return gate.open().stream()
                .filter(l -> l.line().asks() != GateLine.Asks.JOBS && l.line().asks() != GateLine.Asks.FINDINGS)
                .map(l -> l.line().text() + " (" + l.open().get(0).what() + ")");
    }

    /** Whether somebody is on it; a job that was paused has been started, and waits. */
    private static boolean goesOn(Job job) {
        return job.started().isPresent() && !job.started().get().by().isEmpty();
    }

    private static List<Job> goingOnWith(ShopSnapshot shop, List<String> people) {
        return shop.works().stream()
                .filter(w -> w instanceof Job)
                .map(w -> (Job) w)
                .filter(j -> j.started().isPresent()
                        && j.started().get().by().stream().anyMatch(p -> people.contains(p.value())))
                .toList();
    }

    @AnyHand
    void pause(String id) {
        journal.judge(() -> {
            WorkSummary head = works.mustBe(id);
            ShopSnapshot shop = plans.shopWithinChange();
            Job job = job(shop, id)
                    .filter(ProgressService::goesOn)
                    .orElseThrow(() -> new ValidationException("pause", "Nobody is on " + head.name() + "."));
            pause(shop, job);
            return "paused " + head.name();
        });
    }

    private static Optional<Job> job(ShopSnapshot shop, String id) {
        return shop.works().stream()
                .filter(w -> w.id().value().equals(id) && w instanceof Job)
                .map(w -> (Job) w)
                .findFirst();
    }

    /** Pauses a job that goes on, with what is left of it by now. */
    private void pause(ShopSnapshot shop, Job job) {
        clockOff(shop, job);
        progress.pause(job.id().value(), (int) job.toDo().value());
    }

    /** Writes down how long those who were on the job have worked since it was started. */
    private void clockOff(ShopSnapshot shop, Job job) {
        clockOff(shop, job, clock.instant());
    }

    private void clockOff(ShopSnapshot shop, Job job, Instant until) {
        job.started().ifPresent(started -> shop.people().stream()
                .filter(p -> started.by().contains(p.id()))
                .forEach(p -> progress.worked(
                        job.id().value(), p.id().value(), WorkedTime.of(p, started.at(), until, shop.zone()), until)));
    }

    /** So much of the job is left, whatever was thought before. */
    @AnyHand
    public void needsMore(String id, Minutes more) {
        mustBeSome(more);
        journal.judge(() -> {
            WorkSummary head = works.mustBe(id);
            onlyJobs(head);
            if (head.status().equals("TODO")) {
                happened.raise(id, more);
                return head.name() + " takes " + DurationText.of(more) + " more than was thought";
            }
            job(plans.shopWithinChange(), id).ifPresent(job -> clockOff(plans.shopWithinChange(), job));
            if (head.status().equals("DONE")) {
                outcomes.reopened(id);
            }
            happened.left(id, more, clock.instant());
            return head.status().equals("DONE")
                    ? "opened " + head.name() + " again: " + DurationText.of(more) + " to go"
                    : head.name() + " needs " + DurationText.of(more) + " more";
        });
    }

    private static void onlyJobs(WorkSummary head) {
        if (!head.kind().equals("JOB")) {
            throw new ValidationException("work", head.name() + " is no job of the shop.");
        }
    }

    /** Longer is another job. */
    private static void mustBeSome(Minutes more) {
        if (more.value() < 1 || more.value() > MOST_MORE.value()) {
            throw new ValidationException("minutes", "Say how long: from 1 min to " + DurationText.of(MOST_MORE) + ".");
        }
    }

    /** Work that was done before the build came under plan: no hours of the shop, no money. */
    @LeadOrManager
    void doneBefore(List<String> ids) {
        journal.judge(() -> {
            List<WorkSummary> open = ids.stream()
                    .map(works::mustBe)
                    .filter(w -> !w.status().equals("DONE"))
                    .toList();
            for (WorkSummary work : open) {
                if (happened.hasHours(work.id()) || goesOn(work.id())) {
                    throw new ValidationException(
                            "workIds", "Hours of the shop are on " + work.name() + ": it is done, not done before.");
                }
                happened.doneBefore(work.id(), clock.instant());
            }
            return switch (open.size()) {
                case 0 -> null;
                case 1 -> open.get(0).name() + " was done before";
                default -> open.size() + " jobs were done before";
            };
        });
    }

    private boolean goesOn(String id) {
        return job(plans.shopWithinChange(), id).filter(ProgressService::goesOn).isPresent();
    }

    /** Marks a job as finished at a moment that is past, within the change that is open. */
    void doneAt(String id, Instant at) {
        ShopSnapshot shop = plans.shopWithinChange();
        job(shop, id).filter(ProgressService::goesOn).ifPresent(job -> clockOff(shop, job, at));
        finish(id, at);
    }

    @AnyHand
    public void done(String id) {
        journal.judge(() -> {
            WorkSummary head = works.mustBe(id);
            if (head.status().equals("DONE")) {
                throw new ValidationException("done", head.name() + " is done already.");
            }
            ShopSnapshot shop = plans.shopWithinChange();
            job(shop, id).ifPresent(job -> clockOff(shop, job));
            finish(id, clock.instant());
            return "finished " + head.name();
        });
    }

    /** Marks outside work as done, within the change that is open. */
    public void isBack(String id) {
        finish(id, clock.instant());
    }

    @AnyHand
    public void hold(String id, HoldRequest form) {
        journal.judge(() -> {
            WorkSummary head = works.mustBe(id);
            if (head.status().equals("DONE")) {
                throw new ValidationException("note", head.name() + " is done already.");
            }
            ShopSnapshot shop = plans.shopWithinChange();
            Optional<Job> going = job(shop, id).filter(ProgressService::goesOn);
            holds.hold(id, form.reason(), form.note(), form.until(), part(head, form));
            going.ifPresent(job -> pause(shop, job));
            return "held " + head.name() + ": " + form.reason().name() + ", " + form.note();
        });
    }

    /** The line of the part that is waited for; one that nobody has listed becomes a line, with no date. */
    private @Nullable String part(WorkSummary head, HoldRequest form) {
        if (form.partId() != null) {
            return parts.part(form.partId())
                    .filter(p -> p.buildId().equals(head.buildId()))
                    .orElseThrow(() -> new ValidationException("partId", "That is no part of this car."))
                    .id();
        }
        if (form.reason() != ReasonTag.PART || !head.kind().equals("JOB")) {
            return null;
        }
        String said = form.note().strip();
        String name = said.substring(0, Math.min(said.length(), LONGEST_PART));
        return parts.openNamed(head.buildId(), name)
                .orElseGet(() -> parts.wanted(
                        head.buildId(), name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1), head.id()));
    }

    /** What the customer is to say yes to goes ahead without it only where somebody decides so who answers for it. */
    private void notBeforeTheCustomersYes(WorkSummary head) {
        if (who.account().role() == Role.HAND && holds.waitsForCustomer(head.id())) {
            throw new ValidationException(
                    "start",
                    head.name() + " waits for the customer's yes. Ask a lead whether it goes ahead all the same.");
        }
    }

    @AnyHand
    public void release(String id) {
        journal.judge(() -> {
            WorkSummary head = works.mustBe(id);
            notBeforeTheCustomersYes(head);
            return holds.release(id) ? "released " + head.name() : null;
        });
    }

    /** The jobs of a build that go on, then what comes next: what is meant where none is named. */
    public List<String> nearest(PlanService.Current now, String build) {
        return CarStatus.all(now.shop(), now.plan()).stream()
                .filter(r -> r.build().equals(new BuildId(build)))
                .flatMap(r -> Stream.concat(r.doing().stream(), r.next().stream()))
                .map(WorkId::value)
                .distinct()
                .toList();
    }

    /**
     * Outside work that was promised back for a day goes on its vendor's record; what was measured and the work disturbs is
     * stale.
     */
    private void finish(String id, Instant now) {
        StaleGraphService.Disturbs disturbs = measured.disturbedBy(id);
        gates.disturbed(disturbs.buildId(), disturbs.disturbed(), disturbs.name());
        deliveries.outwork(id, now);
        progress.done(id, now);
        outcomes.finished(id);
    }
}
