package galecrest.core.audit;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.Map;
import java.util.Set;

/** Every pin holds, or the plan says that it does not. */
final class PinAudit {
    private final AuditCase audit;
    private final ShopSnapshot shop;
    private final Plan plan;
    private final Map<WorkId, Work> works;
    private final Map<WorkId, Plan.Placed> placed;
    private final Set<PinId> broken;

    PinAudit(AuditCase audit) {
        this.audit = audit;
        shop = audit.shop;
        plan = audit.plan;
        works = audit.works;
        placed = audit.placed;
        broken = audit.broken;
    }

    void pins() {
        for (Pin pin : shop.pins()) {
            Work work = works.get(pin.work());
            Plan.Placed p = placed.get(pin.work());
            boolean left = audit.left(work) || pin instanceof Pin.After a && audit.left(works.get(a.first()));
            if (work.status() == Status.DONE || left || broken.contains(pin.id())) {
                continue;
            }
            if (p == null) {
                boolean listed =
                        plan.unplanned().stream().anyMatch(u -> u.work().equals(pin.work()));
                if (!listed) {
                    audit.broken("pin", work, "is pinned and not in the plan");
                }
                continue;
            }
            boolean holds;
            if (pin instanceof Pin.ToPerson to) {
                holds = p.crew().contains(to.person());
            } else if (pin instanceof Pin.ToStation to) {
                holds = p.station().isPresent() && p.station().get().equals(to.station());
            } else if (pin instanceof Pin.NotBefore notBefore) {
                holds = !p.start().isBefore(notBefore.at());
            } else if (pin instanceof Pin.After order) {
                Plan.Placed first = placed.get(order.first());
                boolean open = works.get(order.first()).status() != Status.DONE && work.status() != Status.STARTED;
                holds = !open || first != null && !p.start().isBefore(first.ready());
            } else {
                holds = AuditCase.at(p.start()) == AuditCase.roundUp(AuditCase.at(((Pin.Exactly) pin).at()));
            }
            if (!holds) {
                audit.broken("pin", work, "does not hold its pin " + pin + " and does not say so");
            }
        }
    }
}
