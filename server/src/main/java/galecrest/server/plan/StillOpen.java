package galecrest.server.plan;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Status;
import galecrest.core.work.WorkId;
import java.util.Set;
import java.util.stream.Collectors;

/** A plan without the work that has started or is done since: nobody needs to be told of that. */
final class StillOpen {
    private StillOpen() {}

    static Plan of(Plan plan, ShopSnapshot shop) {
        Set<WorkId> open = shop.works().stream()
                .filter(w -> w.status() == Status.TODO)
                .map(w -> w.id())
                .collect(Collectors.toSet());
        return plan.withPlaced(
                plan.placed().stream().filter(p -> open.contains(p.work())).toList());
    }
}
