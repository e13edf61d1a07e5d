package galecrest.core.audit;

import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** Every piece of open work is in the plan once, or listed as not planned. */
final class CompletenessAudit {
    private final AuditCase audit;
    private final ShopSnapshot shop;
    private final Plan plan;
    private final Map<WorkId, Work> works;
    private final Map<WorkId, Plan.Placed> placed;
    private final Map<PersonId, Person> people;
    private final Map<StationId, Station> stations;

    CompletenessAudit(AuditCase audit) {
        this.audit = audit;
        shop = audit.shop;
        plan = audit.plan;
        works = audit.works;
        placed = audit.placed;
        people = audit.people;
        stations = audit.stations;
    }

    void complete() {
        Set<WorkId> not = new HashSet<>();
        for (Plan.Placed p : plan.placed()) {
            Work work = works.get(p.work());
            if (work == null || work.status() == Status.DONE || audit.left(work)) {
                audit.violation("complete", p.work() + " is placed but is not open work");
            } else if (!makesSense(work, p)) {
                not.add(p.work());
            } else if (placed.put(p.work(), p) != null) {
                audit.broken("complete", work, "is placed twice");
            }
        }
        for (Plan.Unplanned u : plan.unplanned()) {
            Work work = works.get(u.work());
            if (work == null
                    || audit.left(work)
                    || !not.add(u.work())
                    || placed.containsKey(u.work())
                    || u.reason().isBlank()) {
                audit.violation("complete", u.work() + " is wrongly listed as not planned");
            }
        }
        for (Work work : shop.works()) {
            boolean listed = placed.containsKey(work.id()) || not.contains(work.id());
            if (work.status() != Status.DONE && !audit.left(work) && !listed) {
                audit.broken("complete", work, "is neither placed nor listed as not planned");
            }
        }
    }

    /** Whether a placement can be looked at at all. */
    private boolean makesSense(Work work, Plan.Placed p) {
        if (!p.start().isBefore(p.end()) || p.ready().isBefore(p.end())) {
            audit.broken("order", work, "start, end and ready are out of order");
            return false;
        }
        if (!people.keySet().containsAll(p.crew())
                || !p.station().map(stations::containsKey).orElse(true)) {
            audit.broken("complete", work, "names people or a station that the shop does not have");
            return false;
        }
        return true;
    }
}
