package galecrest.core.audit;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Commitment;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.List;
import java.util.Map;

/** What the plan says of the dates, reckoned again. */
final class OutlookAudit {
    private final AuditCase audit;
    private final ShopSnapshot shop;
    private final Plan plan;
    private final Map<WorkId, Plan.Placed> placed;
    private final OpenHours regularHours;
    private final long now;

    OutlookAudit(AuditCase audit) {
        this.audit = audit;
        shop = audit.shop;
        plan = audit.plan;
        placed = audit.placed;
        regularHours = audit.regularHours;
        now = audit.now;
    }

    /** Named work, or else essential work of the car up to the gate that is not for a later date. */
    static boolean isNeeded(Commitment commitment, Work work) {
        if (commitment.outing().isPresent() && commitment.outing().get().there().contains(work.id())) {
            return false;
        }
        if (commitment.slotOf().isPresent() || !commitment.works().isEmpty()) {
            return commitment.works().contains(work.id());
        }
        boolean later = commitment.leftForLater().contains(work.id());
        boolean passed = work.gate().ordinal() > commitment.gate().ordinal();
        return work.build().equals(commitment.build()) && work.essential() && !later && !passed;
    }

    void outlooks() {
        for (Commitment commitment : shop.commitments()) {
            var outlook = plan.outlooks().stream()
                    .filter(o -> o.commitment().equals(commitment.id()))
                    .findFirst();
            List<Work> due = shop.works().stream()
                    .filter(w -> isNeeded(commitment, w))
                    .filter(w -> w.status() != Status.DONE && !audit.left(w))
                    .toList();
            if (audit.isGone(commitment)) {
                if (outlook.isPresent()) {
                    audit.violation("outlook", commitment.name() + " is of a parked car and has an outlook");
                }
                continue;
            }
            boolean missing = due.stream().anyMatch(w -> !placed.containsKey(w.id()));
            if (outlook.isEmpty() || outlook.get().margin().isPresent() == missing) {
                audit.violation("outlook", commitment.name() + " has no or a wrong outlook");
                continue;
            }
            if (missing) {
                continue;
            }
            long finish = due.stream()
                    .mapToLong(w -> AuditCase.at(placed.get(w.id()).ready()))
                    .max()
                    .orElse(now);
            long dueAt = audit.dueAt(commitment);
            long margin = dueAt >= finish
                    ? regularHours.minutesBetween(Math.max(now, finish), dueAt)
                    : due.isEmpty()
                            ? 0
                            : -Math.max(AuditCase.GRID, regularHours.minutesBetween(Math.max(now, dueAt), finish));
            if (AuditCase.at(outlook.get().finish().orElseThrow()) != finish
                    || outlook.get().margin().orElseThrow().value() != margin) {
                audit.violation(
                        "outlook",
                        commitment.name() + " has a margin of "
                                + outlook.get().margin().orElseThrow().value() + " min, not " + margin);
            }
        }
    }
}
