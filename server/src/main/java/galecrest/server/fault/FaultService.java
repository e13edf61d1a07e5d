package galecrest.server.fault;

import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;

/** Faults are looked for by anybody: the next one sees what was already ruled out. */
@Service
@AnyHand
class FaultService {
    private final FaultRepository faults;
    private final Journal journal;
    private final CurrentUser who;
    private final Clock clock;

    FaultService(FaultRepository faults, Journal journal, CurrentUser who, Clock clock) {
        this.faults = faults;
        this.journal = journal;
        this.who = who;
        this.clock = clock;
    }

    List<FaultResponse> of(String build) {
        var checks = faults.checks(build);
        return faults.faults(build).stream()
                .map(f -> new FaultResponse(
                        f.id(),
                        f.symptom(),
                        f.notedAt(),
                        f.notedBy(),
                        f.cause(),
                        f.solvedAt(),
                        checks.getOrDefault(f.id(), List.of())))
                .toList();
    }

    String note(String build, FaultRequest form) {
        return journal.change("fault: " + form.symptom().strip(), () -> {
            String id = NewId.next();
            faults.insert(id, build, form.symptom().strip(), who.name(), clock.instant());
            return id;
        });
    }

    void check(String id, FaultCheckRequest form) {
        journal.judge(() -> {
            String symptom = faults.open(id).orElseThrow(() -> new NotFoundException("open fault"));
            faults.check(id, form, who.name(), clock.instant());
            return symptom + ": checked " + form.what().strip() + ", "
                    + form.result().strip();
        });
    }

    void solved(String id, SolvedRequest form) {
        journal.judge(() -> {
            String symptom = faults.open(id).orElseThrow(() -> new NotFoundException("open fault"));
            faults.solved(id, form.cause().strip(), clock.instant());
            return symptom + " was " + form.cause().strip();
        });
    }
}
