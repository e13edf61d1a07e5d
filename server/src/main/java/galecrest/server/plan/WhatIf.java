package galecrest.server.plan;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.server.journal.Journal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** What a change would do: it is written as it would be, planned, and taken back. */
@Service
public class WhatIf {
    private final PlanService plans;
    private final Journal journal;
    private final TransactionTemplate trial;

    WhatIf(PlanService plans, Journal journal, PlatformTransactionManager transactions) {
        this.plans = plans;
        this.journal = journal;
        this.trial = new TransactionTemplate(transactions);
    }

    /** The plan with what is written; nothing of it is kept. */
    public PlanService.Current with(Runnable write) {
        return trial.execute(status -> {
            journal.change("tried something", write);
            PlanService.Current with = plans.currentWithinChange();
            status.setRollbackOnly();
            return with;
        });
    }

    /** What it does to all dates that it moves, and to those of the build in any case. */
    public List<DateEffect> effect(String build, Runnable write) {
        PlanService.Current before = plans.current();
        return between(build, before, with(write));
    }

    /** What differs at the dates; those of the build in any case. */
    public static List<DateEffect> between(String build, PlanService.Current before, PlanService.Current after) {
        return between(build, before.plan(), after.plan(), after.shop());
    }

    /** The same of two plans of a shop. */
    public static List<DateEffect> between(String build, Plan before, Plan after, ShopSnapshot shop) {
        Map<String, Plan.Outlook> old = new HashMap<>();
        before.outlooks().forEach(o -> old.put(o.commitment().value(), o));
        List<DateEffect> effects = new ArrayList<>();
        for (Plan.Outlook now : after.outlooks()) {
            Plan.Outlook was = old.get(now.commitment().value());
            boolean own = shop.commitments().stream()
                    .anyMatch(c ->
                            c.id().equals(now.commitment()) && c.build().value().equals(build));
            if (was != null && (own || !was.margin().equals(now.margin()))) {
                effects.add(new DateEffect(
                        now.commitment().value(),
                        null,
                        was.margin().map(m -> m.value()).orElse(null),
                        now.margin().map(m -> m.value()).orElse(null),
                        was.finish().orElse(null),
                        now.finish().orElse(null)));
            }
        }
        return effects;
    }
}
