package galecrest.server.rollout;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.rollout.Attempt;
import galecrest.core.rollout.RollOut;
import galecrest.core.rollout.RollOutStep;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.capture.CaptureService;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What is found on the way, and before which step each is put right; that may be put off, on purpose. */
@Service
class FindingService {
    private final RollOutRepository record;
    private final RollOutState state;
    private final CaptureService capture;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    FindingService(
            RollOutRepository record,
            RollOutState state,
            CaptureService capture,
            NameRepository names,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.state = state;
        this.capture = capture;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    void find(String build, FindingRequest form) {
        String what = form.what().strip();
        String skill = capture.usualSkill();
        journal.judge(() -> {
            String car = names.build(build).orElseThrow(() -> new NotFoundException("build"));
            RollOut standing = state.of(build, Set.of());
            Optional<RollOutStep> before = before(standing, form.before());
            RollOutStep during = standing.here()
                    .orElseGet(() -> standing.steps().get(standing.steps().size() - 1));
            found(
                    build,
                    standing.open().map(Attempt::id).orElse(null),
                    what,
                    Optional.ofNullable(form.zone()),
                    form.minutes(),
                    during,
                    before,
                    skill);
            return "found on " + car + ": " + what + ", to be right "
                    + before.map(b -> "before " + b.name()).orElse("after all the steps");
        });
    }

    private static Optional<RollOutStep> before(RollOut standing, @Nullable String key) {
        return key == null
                ? Optional.empty()
                : Optional.of(standing.step(key).orElseThrow(() -> new NotFoundException("step")));
    }

    /** Writes down what was found with the job that puts it right, within the change that is open. */
    void found(
            String build,
            @Nullable String attempt,
            String what,
            Optional<Zone> zone,
            int minutes,
            RollOutStep during,
            Optional<RollOutStep> before,
            String skill) {
        Gate gate = before.flatMap(RollOutStep::gate).orElse(Gate.EVENT);
        String work = capture.finding(build, what, zone, minutes, gate, skill);
        record.find(
                build,
                attempt,
                what,
                during.name(),
                before.map(RollOutStep::key).orElse(null),
                work,
                who.name(),
                clock.instant());
    }

    @AnyHand
    void putBefore(String finding, PutBeforeRequest form) {
        journal.judge(() -> {
            String build = record.carOf(finding).orElseThrow(() -> new NotFoundException("finding"));
            Optional<RollOutStep> before = before(state.of(build, Set.of()), form.before());
            record.putBefore(finding, before.map(RollOutStep::key).orElse(null));
            return "put a finding of " + names.build(build).orElseThrow(() -> new NotFoundException("build")) + " "
                    + before.map(b -> "before " + b.name()).orElse("after all the steps");
        });
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
