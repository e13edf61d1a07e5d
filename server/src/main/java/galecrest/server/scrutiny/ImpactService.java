package galecrest.server.scrutiny;

import galecrest.core.build.Gate;
import galecrest.core.component.Counter;
import galecrest.core.component.Wear;
import galecrest.core.trackday.AfterImpact;
import galecrest.server.access.AnyHand;
import galecrest.server.capture.CaptureService;
import galecrest.server.component.CarUseService;
import galecrest.server.component.ComponentService;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Impacts: counted on all that is fitted, written into their histories, and what else to look at as jobs. */
@Service
class ImpactService {
    private static final int LONGEST = 120;

    private final CarUseService uses;
    private final ComponentService components;
    private final NameRepository names;
    private final CaptureService capture;
    private final Journal journal;
    private final Clock clock;

    ImpactService(
            CarUseService uses,
            ComponentService components,
            NameRepository names,
            CaptureService capture,
            Journal journal,
            Clock clock) {
        this.uses = uses;
        this.components = components;
        this.names = names;
        this.capture = capture;
        this.journal = journal;
        this.clock = clock;
    }

    @AnyHand
    List<LooksResponse> looks() {
        return Arrays.stream(AfterImpact.values())
                .map(w -> new LooksResponse(w, w.looks()))
                .toList();
    }

    /** Books an impact; what is to be looked at becomes work before the car drives again. */
    @AnyHand
    void hit(String build, ImpactRequest form) {
        String what = form.what() == null ? "" : form.what().strip();
        if (what.isEmpty() || what.length() > LONGEST) {
            throw new ValidationException("what", "What happened? 1 to " + LONGEST + " letters.");
        }
        if (form.where() == null || form.key() == null || form.key().isBlank()) {
            throw new ValidationException("where", "Where was it hit?");
        }
        Set<String> wanted = Set.copyOf(form.looks() == null ? List.of() : form.looks());
        List<AfterImpact.Look> looks = form.where().looks().stream()
                .filter(l -> wanted.contains(l.what()))
                .toList();
        if (looks.size() < wanted.size()) {
            throw new ValidationException("looks", "That is not on the list for this.");
        }
        String skill = capture.usualSkill();
        String said = form.where().name().toLowerCase(Locale.ROOT) + ": " + what;
        journal.judge(() -> {
            String car = names.build(build).orElseThrow(() -> new NotFoundException("build"));
            if (!uses.book(
                    "impact:" + form.key(),
                    build,
                    clock.instant(),
                    Wear.of(Counter.IMPACTS, 1),
                    false,
                    "impact, " + said)) {
                return null;
            }
            components.crashed(build, said);
            looks.forEach(
                    l -> capture.finding(build, l.what(), Optional.of(l.zone()), l.minutes(), Gate.ROLL_OUT, skill));
            return car + " hit something, " + said;
        });
    }
}
