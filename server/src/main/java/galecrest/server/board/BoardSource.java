package galecrest.server.board;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.WorkId;
import galecrest.server.plan.PlanService;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;

/**
 * What a board is made of.
 *
 * @param told whether only what people have been told is on it, and nothing of a draft
 */
record BoardSource(
        boolean told,
        PlanService.Current current,
        PlanService plans,
        BoardRepository record,
        ShopSnapshot shop,
        Plan plan,
        ReasonText words,
        Map<WorkId, Plan.Placed> placed) {
    LocalDate day(Instant at) {
        return at.atZone(shop.zone()).toLocalDate();
    }
}
