package galecrest.server.build;

import galecrest.core.build.BuildId;
import galecrest.core.build.Job;
import galecrest.core.build.Work;
import galecrest.core.build.WorkId;
import galecrest.core.people.PersonId;
import galecrest.core.people.WorkedTime;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.StationId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.Who;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.BadInput;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Doing the work: starting, pausing, holding and finishing it, with the hours of those who were on it. */
@Service
public class ProgressService {
    /** The least that is left of a paused job, in minutes. */
    private static final int LEAST_REMAINING = 15;

    private final WorkRepository works;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;
    private final Who who;

    ProgressService(WorkRepository works, PlanService plans, Journal journal, Clock clock, Who who) {
        this.works = works;
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
    void start(String id) {
        WorkRepository.Head head = works.mustBe(id);
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
        WorkRepository.Head head = works.mustBe(id);
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
        WorkRepository.Head head = works.mustBe(id);
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
        WorkRepository.Head head = works.mustBe(id);
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
        WorkRepository.Head head = works.mustBe(id);
        journal.change("released " + head.name(), () -> works.release(id));
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
