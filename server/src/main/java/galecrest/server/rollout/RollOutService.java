package galecrest.server.rollout;

import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.component.Counter;
import galecrest.core.component.Wear;
import galecrest.core.plan.Plan;
import galecrest.core.rollout.RollOut;
import galecrest.core.rollout.RollOutStep;
import galecrest.core.shop.Problem;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.capture.CaptureService;
import galecrest.server.component.CarUseService;
import galecrest.server.gate.GateService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Takes cars from their first fire to load and speed: tries at steps, two names, fires. */
@Service
public class RollOutService {
    private static final double SECONDS_AN_HOUR = 3_600;

    private final RollOutRepository record;
    private final RollOutState state;
    private final FindingService findings;
    private final GateService gates;
    private final CarUseService uses;
    private final CaptureService capture;
    private final PlanService plans;
    private final NameRepository names;
    private final Extremes extremes;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    RollOutService(
            RollOutRepository record,
            RollOutState state,
            FindingService findings,
            GateService gates,
            CarUseService uses,
            CaptureService capture,
            PlanService plans,
            NameRepository names,
            Extremes extremes,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.state = state;
        this.findings = findings;
        this.gates = gates;
        this.uses = uses;
        this.capture = capture;
        this.plans = plans;
        this.names = names;
        this.extremes = extremes;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    RollOutResponse of(String build) {
        Set<Gate> passed = gates.passedNow(build);
        RollOut standing = state.of(build, passed);
        CarUseService.Fires fires = uses.fires(build);
        return new RollOutView(standing)
                .response(
                        record.attempts(build),
                        record.findings(build),
                        record.fires(build),
                        plans.current().whole().people().stream()
                                .map(p -> p.name())
                                .toList(),
                        fires,
                        runningIn(build));
    }

    private RollOutResponse.@Nullable RunningInResponse runningIn(String build) {
        PlanService.Current current = plans.current();
        Map<?, Plan.Placed> placed = current.plan().byWork();
        return current.whole().works().stream()
                .filter(w ->
                        w instanceof RunningIn && w.build().equals(new BuildId(build)) && w.status() != Status.DONE)
                .map(w -> (RunningIn) w)
                .findFirst()
                .map(r -> RollOutView.runningIn(r, Optional.ofNullable(placed.get(r.id()))))
                .orElse(null);
    }

    @AnyHand
    String open(String build, OpenAttemptRequest form) {
        String id = NewId.next();
        journal.judge(() -> {
            String car = car(build);
            RollOut standing = state.of(build, Set.of());
            RollOutStep step = standing.step(form.step() == null ? "" : form.step())
                    .orElseThrow(() -> new NotFoundException("step"));
            standing.open().ifPresent(there -> {
                String name = standing.step(there.step()).map(RollOutStep::name).orElse("a step that is gone");
                throw new ConflictException(
                        "Somebody else has opened " + name + " on this car; go on with that.", 0, List.of());
            });
            record.open(id, build, step.key(), clock.instant());
            return "began " + step.name() + " with " + car;
        });
        return id;
    }

    private String car(String build) {
        return names.build(build).orElseThrow(() -> new NotFoundException("build"));
    }

    /** A try that is not over. */
    private RollOutRepository.Kept mustBeOpen(String id) {
        RollOutRepository.Kept there = record.attempt(id).orElseThrow(() -> new NotFoundException("try"));
        if (!there.attempt().isOpen()) {
            throw new ConflictException("This try is over already. Begin another one.", 0, List.of());
        }
        return there;
    }

    @AnyHand
    void drop(String id) {
        journal.judge(() -> {
            RollOutRepository.Kept there = mustBeOpen(id);
            if (there.attempt().goesOn()) {
                throw new ValidationException("id", "It goes on: end it, and say what was seen.");
            }
            record.drop(id);
            return "left a step of " + car(there.buildId()) + " for now";
        });
    }

    @AnyHand
    void tick(String id, TickRequest form) {
        journal.judge(() -> {
            RollOutRepository.Kept there = mustBeOpen(id);
            RollOutStep step = step(there);
            List<String> checks = form.after() ? step.after() : step.before();
            if (form.check() == null || !checks.contains(form.check())) {
                throw new NotFoundException("check");
            }
            if (form.after() && !there.attempt().goesOn()) {
                throw new ValidationException("check", "That is looked at once the car has gone.");
            }
            if (!form.after() && there.attempt().goesOn()) {
                throw new ValidationException("check", "The car has gone; that was looked at before.");
            }
            boolean news = form.ticked() ? record.tick(id, form, who.name(), clock.instant()) : record.untick(id, form);
            return news
                    ? (form.ticked() ? "looked at " : "took back ") + form.check() + ", " + car(there.buildId())
                    : null;
        });
    }

    private RollOutStep step(RollOutRepository.Kept there) {
        return state.of(there.buildId(), Set.of())
                .step(there.attempt().step())
                .orElseThrow(() -> new NotFoundException("step"));
    }

    @AnyHand
    void names(String id, NamesRequest form) {
        journal.judge(() -> {
            RollOutRepository.Kept there = mustBeOpen(id);
            if (there.attempt().goesOn()) {
                throw new ValidationException("driver", "The car has gone with the names that are there.");
            }
            String driver = name(form.driver(), there.attempt().driver());
            String looker = name(form.looker(), there.attempt().looker());
            if (driver != null && driver.equalsIgnoreCase(looker)) {
                throw new ValidationException(
                        form.looker() == null ? "driver" : "looker", "Who drives and who looks are two people.");
            }
            record.names(id, driver, looker);
            return "named who drives and who looks, " + car(there.buildId()) + ": " + (driver == null ? "—" : driver)
                    + " and " + (looker == null ? "—" : looker);
        });
    }

    private static @Nullable String name(@Nullable String said, Optional<String> there) {
        if (said == null) {
            return there.orElse(null);
        }
        return said.isBlank() ? null : said.strip();
    }

    @AnyHand
    void go(String id) {
        journal.judge(() -> {
            RollOutRepository.Kept there = mustBeOpen(id);
            if (there.attempt().goesOn()) {
                throw new ConflictException("It goes on already.", 0, List.of());
            }
            RollOut standing = state.of(there.buildId(), gates.passed(there.buildId()));
            ValidationException.throwIfAny(standing.before(there.attempt()).stream()
                    .map(why -> new Problem("go", why))
                    .toList());
            record.go(id, clock.instant());
            return car(there.buildId()) + " goes, "
                    + standing.step(there.attempt().step()).orElseThrow().name() + ": "
                    + there.attempt().driver().orElseThrow() + " drives, "
                    + there.attempt().looker().orElseThrow() + " looks";
        });
    }

    @AnyHand
    void end(String id, EndRequest form) {
        ValidationException.throwIfAny(RollOutChecks.of(form));
        String skill = capture.usualSkill();
        String leaked = said(form.leaked());
        journal.judge(() -> {
            RollOutRepository.Kept there = mustBeOpen(id);
            if (!there.attempt().goesOn()) {
                throw new ValidationException("go", "It has not gone yet.");
            }
            String build = there.buildId();
            RollOutStep step = step(there);
            state.of(build, Set.of())
                    .afterwards(there.attempt())
                    .filter(why -> form.done())
                    .ifPresent(why -> {
                        throw new ValidationException("done", "Not done yet: " + why + ".");
                    });
            Instant now = clock.instant();
            record.end(id, form, extremes.said(id), now);
            if (!step.channels().isEmpty()) {
                ran(there, step, form, leaked, now);
            }
            if (!leaked.isEmpty()) {
                findings.found(build, id, "Leak: " + leaked, Optional.empty(), 30, step, Optional.of(step), skill);
            }
            String seen = said(form.seen());
            return car(build)
                    + (form.done() ? " has done " : " stopped at ")
                    + step.name()
                    + (seen.isEmpty() ? "" : ": " + seen)
                    + (leaked.isEmpty() ? "" : "; leaked: " + leaked);
        });
        extremes.forget(id);
    }

    /** Logs the fire of a try, and what it took out of the car. */
    private void ran(RollOutRepository.Kept there, RollOutStep step, EndRequest form, String leaked, Instant now) {
        long seconds = Math.max(
                1, Duration.between(there.attempt().went().orElseThrow(), now).toSeconds());
        FireRequest fire = new FireRequest(
                there.attempt().id(),
                (int) Math.min(seconds, FireRequest.LONGEST_SECONDS),
                form.oilPressure(),
                form.water(),
                form.oil(),
                form.done() ? "" : form.seen(),
                leaked,
                form.warm());
        fired(there.buildId(), there.attempt().id(), fire, leaked, form.km(), step.name(), now);
        record.ranIn(there.buildId(), Math.round(form.km()));
    }

    private boolean fired(
            String build,
            @Nullable String attempt,
            FireRequest form,
            String leaked,
            double km,
            String what,
            Instant now) {
        if (!record.fire(form.key(), build, attempt, form, leaked, now, who.name())) {
            return false;
        }
        Wear wear = new Wear(
                Map.of(Counter.HOURS, form.seconds() / SECONDS_AN_HOUR, Counter.DISTANCE, km, Counter.FIRES, 1.0));
        uses.book("fire:" + form.key(), build, now, wear, form.warm(), what);
        return true;
    }

    @AnyHand
    void fire(String build, FireRequest form) {
        ValidationException.throwIfAny(RollOutChecks.of(form));
        String skill = capture.usualSkill();
        String leaked = said(form.leaked());
        journal.judge(() -> {
            String car = car(build);
            if (!fired(build, null, form, leaked, 0, "a fire", clock.instant())) {
                return null;
            }
            RollOut standing = state.of(build, Set.of());
            Optional<RollOutStep> here = standing.here();
            if (!leaked.isEmpty() && here.isPresent()) {
                findings.found(build, null, "Leak: " + leaked, Optional.empty(), 30, here.get(), here, skill);
            }
            return "fired " + car + " for " + form.seconds() + " s" + (leaked.isEmpty() ? "" : "; leaked: " + leaked);
        });
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
