package galecrest.core.plan;

import galecrest.core.work.LinkId;
import galecrest.core.work.WorkId;
import java.util.List;

/**
 * What a plan was made of, in short. Kept with a plan that took long to find, it lets later plannings begin from there,
 * also when some work has come or gone.
 *
 * @param order in which the work was placed
 * @param early at-risk links that it used
 * @param kept work that stays at the start that people were told, though it could be earlier
 * @param others work that the last instead of the first of equally good crews does
 */
public record WarmStart(List<WorkId> order, List<LinkId> early, List<WorkId> kept, List<WorkId> others) {
    public WarmStart {
        order = List.copyOf(order);
        early = List.copyOf(early);
        kept = List.copyOf(kept);
        others = List.copyOf(others);
    }
}
