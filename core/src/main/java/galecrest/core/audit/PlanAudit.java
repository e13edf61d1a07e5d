package galecrest.core.audit;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Outwork;
import galecrest.core.work.Work;
import java.util.List;

/**
 * Checks a plan against every rule, re-derived from the snapshot alone, and lists what breaks them. It shares no code
 * with the planner, so that a mistake in one is seen by the other. Times are reckoned in whole minutes here.
 */
public final class PlanAudit {
    private PlanAudit() {}

    /** Everything that is wrong with the plan; empty where nothing is. */
    public static List<Violation> violations(ShopSnapshot shop, Plan plan) {
        AuditCase audit = new AuditCase(shop, plan);
        new CompletenessAudit(audit).complete();
        JobAudit jobs = new JobAudit(audit);
        OutworkAudit outwork = new OutworkAudit(audit);
        for (Plan.Placed placed : audit.placed.values()) {
            Work work = audit.works.get(placed.work());
            jobs.check(work, placed);
            if (work instanceof Outwork away) {
                outwork.outwork(away, placed);
            }
        }
        new SharingAudit(audit).check();
        new CarAudit(audit).audit();
        new LinkAudit(audit).links();
        new PinAudit(audit).pins();
        new FrozenAudit(audit).check();
        new OutlookAudit(audit).outlooks();
        return List.copyOf(audit.violations);
    }
}
