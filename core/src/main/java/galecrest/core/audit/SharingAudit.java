package galecrest.core.audit;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.time.Span;
import galecrest.core.work.Commitment;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** No person is on two jobs at once, no station takes two cars. */
final class SharingAudit {
    private final AuditCase audit;
    private final Map<WorkId, Work> works;
    private final Map<WorkId, Plan.Placed> placed;

    SharingAudit(AuditCase audit) {
        this.audit = audit;
        works = audit.works;
        placed = audit.placed;
    }

    void check() {
        oneJobAtATime();
        stations();
    }

    private void oneJobAtATime() {
        Map<PersonId, List<long[]>> busy = new HashMap<>();
        for (Plan.Placed p : placed.values()) {
            for (PersonId person : p.crew()) {
                p.at().forEach(s -> busy.computeIfAbsent(person, k -> new ArrayList<>())
                        .add(new long[] {AuditCase.at(s.from()), AuditCase.at(s.to())}));
            }
        }
        busy.forEach((person, stretches) -> {
            stretches.sort((a, b) -> Long.compare(a[0], b[0]));
            for (int i = 1; i < stretches.size(); i++) {
                if (stretches.get(i)[0] < stretches.get(i - 1)[1]) {
                    audit.violation("one job at a time", person + " is on two at once");
                }
            }
        });
    }

    private void stations() {
        List<Plan.Placed> all =
                placed.values().stream().filter(p -> p.station().isPresent()).toList();
        for (Commitment date : audit.outings()) {
            Span away = new Span(date.due(), date.outing().orElseThrow().back());
            all.stream()
                    .filter(p -> date.outing()
                            .orElseThrow()
                            .takes()
                            .contains(p.station().orElseThrow()))
                    .filter(p -> !works.get(p.work()).build().equals(date.build()))
                    .filter(p -> p.start().isBefore(away.to()) && p.end().isAfter(away.from()))
                    .forEach(p -> audit.broken("station", works.get(p.work()), "is at a station that is away"));
        }
        for (Plan.Placed a : all) {
            for (Plan.Placed b : all) {
                boolean clash = a.start().isBefore(b.end()) && b.start().isBefore(a.end());
                if (clash
                        && a.station().equals(b.station())
                        && !works.get(a.work())
                                .build()
                                .equals(works.get(b.work()).build())) {
                    audit.broken("station", works.get(a.work()), "shares its station with another car");
                }
            }
        }
    }
}
