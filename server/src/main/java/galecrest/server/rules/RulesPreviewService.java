package galecrest.server.rules;

import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.WarmStart;
import galecrest.core.planner.Planner;
import galecrest.core.shop.School;
import galecrest.core.work.Status;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.plan.DateEffect;
import galecrest.server.plan.PlanService;
import galecrest.server.plan.WhatIf;
import galecrest.server.shop.ShopRequest;
import galecrest.server.shop.ShopService;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Says what other house rules would do: to the plan as it stands, and to one that is thought through anew. */
@Service
class RulesPreviewService {
    /** So many schedules of a hundred open jobs take about a second. */
    private static final long STEPS_TIMES_OPEN = 60_000;

    private static final long FEWEST = 40;
    private static final long MOST = 600;
    private static final int LUCK = 1;

    private final PlanService plans;
    private final WhatIf whatIf;
    private final ShopService shop;

    RulesPreviewService(PlanService plans, WhatIf whatIf, ShopService shop) {
        this.plans = plans;
        this.whatIf = whatIf;
        this.shop = shop;
    }

    @LeadOrManager
    List<SchoolResponse> schools() {
        return Stream.of(School.values()).map(SchoolResponse::of).toList();
    }

    /** Nothing is kept. */
    @ManagerOnly
    RulesPreviewResponse preview(ShopRequest form) {
        PlanService.Current now = plans.current();
        PlanService.Current with = whatIf.with(() -> shop.change(form));
        ShopSnapshot asTheyAre = with.shop().withRules(now.shop().rules());
        int atOnce = PlanDifference.between(plans.of(asTheyAre).plan(), with.plan())
                .moved()
                .size();
        Plan before = thoughtThrough(asTheyAre, with.from());
        Plan after = thoughtThrough(with.shop(), with.from());
        PlanDifference difference = PlanDifference.between(before, after);
        return new RulesPreviewResponse(
                atOnce,
                difference.moved().size(),
                WhatIf.between("", before, after, with.shop()).stream()
                        .filter(RulesPreviewService::isAnother)
                        .toList());
    }

    private static boolean isAnother(DateEffect effect) {
        return !Optional.ofNullable(effect.beforeMinutes()).equals(Optional.ofNullable(effect.afterMinutes()));
    }

    /** The same search for both: what differs is of the rules. */
    private static Plan thoughtThrough(ShopSnapshot shop, Optional<WarmStart> from) {
        long open = shop.works().stream().filter(w -> w.status() != Status.DONE).count();
        long steps = Math.max(FEWEST, Math.min(MOST, STEPS_TIMES_OPEN / Math.max(1, open)));
        return Planner.plan(
                shop, PlanOptions.thorough(steps, LUCK).withSearches(1).from(from));
    }
}
