package galecrest.core.audit;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.work.Job;
import galecrest.core.work.Pin;
import galecrest.core.work.Status;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Within the frozen days jobs stay as people were told, or the plan says why they do not. */
final class FrozenAudit {
    private final AuditCase audit;
    private final Set<WorkId> pinned;
    private final Set<WorkId> thawed;

    FrozenAudit(AuditCase audit) {
        this.audit = audit;
        pinned = audit.shop.pins().stream().map(Pin::work).collect(Collectors.toSet());
        thawed = audit.plan.thawed().stream().map(Plan.Thawed::work).collect(Collectors.toSet());
    }

    void check() {
        Map<WorkId, Plan.Placed> told = audit.shop.published().map(Plan::byWork).orElse(Map.of());
        Instant until = audit.shop
                .now()
                .atZone(audit.shop.zone())
                .toLocalDate()
                .plusDays(audit.shop.rules().frozenDays())
                .atStartOfDay(audit.shop.zone())
                .toInstant();
        for (Plan.Placed now : audit.placed.values()) {
            Plan.Placed then = told.get(now.work());
            if (then != null && then.start().isBefore(until) && audit.works.get(now.work()) instanceof Job job) {
                stays(job, then, now);
            }
        }
    }

    private void stays(Job job, Plan.Placed told, Plan.Placed now) {
        boolean ahead = AuditCase.at(told.start()) >= audit.now;
        if (job.status() != Status.TODO || !ahead || !stillPossible(job, told)) {
            return;
        }
        boolean same = told.start().equals(now.start())
                && Set.copyOf(told.crew()).equals(Set.copyOf(now.crew()))
                && told.station().equals(now.station());
        if (!same && !thawed.contains(job.id())) {
            audit.broken("frozen", job, "was told for " + told.start() + ", is planned otherwise and nobody says why");
        }
        if (same && thawed.contains(job.id())) {
            audit.broken("frozen", job, "is as people were told, and said not to be");
        }
    }

    /**
     * Whether its people and its place are still such as could do it; what is pinned goes by its pins, what is done at a
     * date by the date.
     */
    private boolean stillPossible(Job job, Plan.Placed told) {
        return !pinned.contains(job.id())
                && audit.doneAt(job).isEmpty()
                && audit.people.keySet().containsAll(told.crew())
                && told.crew().size() == job.crew().size()
                && new JobAudit(audit).fills(job, told.crew(), new HashSet<PersonId>(), 0)
                && told.station().isPresent() == job.stationKind().isPresent()
                && told.station()
                        .map(audit.stations::get)
                        .map(s -> s.kind().equals(job.stationKind().orElse("")))
                        .orElse(job.stationKind().isEmpty());
    }
}
