package galecrest.server.carsheet;

import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import galecrest.core.gauge.check.ClassCheckGauge;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ValidationException;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** What classes limit, entered once for all cars. */
@Service
class ClassService {

    private final ClassRepository classes;
    private final Journal journal;

    ClassService(ClassRepository classes, Journal journal) {
        this.classes = classes;
        this.journal = journal;
    }

    @AnyHand
    List<ClassResponse> all() {
        return classes.all();
    }

    /** Puts the limits of a class in place of those that were there; each must be such that the gauge can check it. */
    @LeadOrManager
    void write(ClassRequest form) {
        String name = form.name().strip();
        List<ClassLimit> limits = form.limits() == null ? List.of() : form.limits();
        if (!limits.isEmpty()) {
            tryOut(limits);
        }
        journal.judge(() -> {
            boolean there = classes.all().stream().anyMatch(c -> c.name().equals(name));
            classes.write(name, limits);
            if (limits.isEmpty()) {
                return there ? "took out the class " + name : null;
            }
            return "wrote down what the class " + name + " limits";
        });
    }

    /** Asks the gauge, so that a class holds nothing that it cannot check. */
    private static void tryOut(List<ClassLimit> limits) {
        try {
            new ClassCheckGauge()
                    .answer(GaugeRequest.of(Map.of(
                            "limits", limits.stream().map(ClassService::fields).toList())));
        } catch (WrongRequest wrong) {
            throw new ValidationException(wrong.problems());
        }
    }

    private static Map<String, Object> fields(ClassLimit limit) {
        return Map.of(
                "measure", limit.measure(),
                "kind", limit.kind(),
                "least", limit.least(),
                "most", limit.most(),
                "tolerance", limit.tolerance());
    }
}
