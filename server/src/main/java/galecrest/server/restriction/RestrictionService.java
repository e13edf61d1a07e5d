package galecrest.server.restriction;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.capture.CaptureService;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Restricts cars, makes the jobs that lift it, and lifts it. */
@Service
public class RestrictionService {
    private static final int USUAL_MINUTES = 60;

    private final RestrictionRepository record;
    private final CaptureService capture;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    RestrictionService(
            RestrictionRepository record,
            CaptureService capture,
            NameRepository names,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.capture = capture;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    /** Whoever finds it says so: the car does not wait for somebody with another role. */
    @AnyHand
    void restrict(String build, RestrictionRequest form) {
        String text = said(form.text());
        String job = said(form.job());
        int minutes = Optional.ofNullable(form.minutes()).orElse(USUAL_MINUTES);
        if (text.isEmpty() && job.isEmpty()) {
            throw new ValidationException("text", "Say what the car may not do, or what is to be done.");
        }
        String skill = capture.usualSkill();
        journal.judge(() -> {
            String car = names.build(build).orElseThrow(() -> new NotFoundException("build"));
            String work = job.isEmpty()
                    ? null
                    : capture.ownFinding(build, job, Optional.of(Zone.ENGINE_BAY), minutes, Gate.EVENT, skill);
            if (!text.isEmpty()) {
                record.insert(build, text, said(form.because()), work, who.name(), clock.instant());
            }
            return text.isEmpty() ? "found on " + car + ": " + job : "restricted " + car + ": " + text;
        });
    }

    /** What a car may not do now, in words. */
    public List<String> of(String build) {
        return record.of(build);
    }

    @LeadOrManager
    void lift(String id) {
        journal.judge(() -> {
            RestrictionRepository.Standing standing =
                    record.standing(id).orElseThrow(() -> new NotFoundException("restriction"));
            record.lift(id, who.name(), clock.instant());
            return "lifted for " + names.build(standing.buildId()).orElse("a car") + ": " + standing.text();
        });
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
