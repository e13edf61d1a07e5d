package galecrest.server.plan;

import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Status;
import galecrest.core.work.WorkId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The plan as hands see it: where people have been told that work is, and for what has started where it really is. What
 * was not published is not in it.
 */
final class ToldPlan {
    private ToldPlan() {}

    static Plan of(ShopSnapshot shop, Plan now) {
        Map<WorkId, Plan.Placed> told = shop.published().map(Plan::byWork).orElse(Map.of());
        Map<WorkId, Plan.Placed> present = now.byWork();
        List<Plan.Placed> placed = new ArrayList<>();
        for (var work : shop.works()) {
            Plan.Placed is = present.get(work.id());
            if (work.status() == Status.STARTED) {
                Optional.ofNullable(is).ifPresent(placed::add);
            } else if (work.status() == Status.TODO && told.containsKey(work.id())) {
                Plan.Placed was = told.get(work.id());
                boolean same = is != null && is.start().equals(was.start());
                placed.add(new Plan.Placed(
                        was.work(),
                        was.start(),
                        was.end(),
                        was.ready(),
                        was.at(),
                        was.crew(),
                        was.station(),
                        was.slotMissed(),
                        same ? is.because() : new Because.Told()));
            }
        }
        return new Plan(now.madeFor(), placed, List.of(), List.of(), List.of(), List.of(), dates(shop), Score.NONE);
    }

    /** Each date as it was published; one that was not is not known yet. */
    private static List<Plan.Outlook> dates(ShopSnapshot shop) {
        Map<CommitmentId, Plan.Outlook> told = new HashMap<>();
        shop.published().ifPresent(p -> p.outlooks().forEach(o -> told.put(o.commitment(), o)));
        return shop.commitments().stream()
                .map(c -> told.getOrDefault(
                        c.id(), new Plan.Outlook(c.id(), Optional.empty(), Optional.empty(), List.of(), List.of())))
                .toList();
    }
}
