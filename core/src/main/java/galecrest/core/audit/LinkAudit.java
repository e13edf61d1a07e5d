package galecrest.core.audit;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** What comes before what, and what started at risk. */
final class LinkAudit {
    private final AuditCase audit;
    private final ShopSnapshot shop;
    private final Plan plan;
    private final Map<WorkId, Work> works;
    private final Map<WorkId, Plan.Placed> placed;
    private final OpenHours shopHours;
    private final long now;

    LinkAudit(AuditCase audit) {
        this.audit = audit;
        shop = audit.shop;
        plan = audit.plan;
        works = audit.works;
        placed = audit.placed;
        shopHours = audit.shopHours;
        now = audit.now;
    }

    void links() {
        Set<galecrest.core.work.LinkId> atRisk = new HashSet<>(plan.startedAtRisk());
        for (Link link : shop.links()) {
            Work first = works.get(link.first());
            Work then = works.get(link.then());
            Plan.Placed after = placed.get(link.then());
            boolean startsLater = link.type() != Link.Type.FINISH_FINISH;
            boolean away = then instanceof Outwork outwork && outwork.away().isPresent();
            if (after == null || away || audit.left(first) || startsLater && then.status() == Status.STARTED) {
                continue;
            }
            Plan.Placed before = placed.get(link.first());
            boolean holds;
            if (first.status() == Status.DONE) {
                holds = !startsLater || AuditCase.at(after.start()) >= doneBound(first, link);
            } else if (before == null) {
                holds = false;
            } else {
                long from =
                        switch (link.type()) {
                            case FINISH_START -> AuditCase.at(before.ready());
                            case START_START -> AuditCase.at(before.start());
                            case FINISH_FINISH -> AuditCase.at(before.end());
                        };
                holds = AuditCase.at(startsLater ? after.start() : after.end()) >= lagged(from, link);
            }
            boolean covered = link.risk().isPresent() && (atRisk.contains(link.id()) || first.status() == Status.DONE);
            if (!holds && !covered) {
                audit.broken("link", then, "does not wait for " + first.name());
            }
            if (holds && atRisk.contains(link.id())) {
                audit.broken("at risk", then, "is not at risk by its link to " + first.name());
            }
        }
    }

    private long doneBound(Work first, Link link) {
        long done = AuditCase.at(first.doneAt().orElse(shop.now()));
        long cure = link.type() == Link.Type.FINISH_START && first instanceof Job job
                ? job.cure().toMinutes()
                : 0;
        return link.lag().working() ? lagged(Math.max(done + cure, now), link) : lagged(done + cure, link);
    }

    private long lagged(long from, Link link) {
        long lag = AuditCase.roundUp(link.lag().minutes().value());
        return link.lag().working() ? shopHours.after(from, lag) : from + lag;
    }
}
