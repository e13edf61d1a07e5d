package galecrest.core.plan;

import galecrest.core.build.LinkId;
import galecrest.core.build.WorkId;
import java.util.List;

/**
 * What a plan was made of, in short: the order in which its work was placed and the at-risk links that it used. Kept
 * with a plan that took long to find, it lets later plannings begin from there, also when some work has come or gone.
 */
public record Guide(List<WorkId> order, List<LinkId> early) {
    public Guide {
        order = List.copyOf(order);
        early = List.copyOf(early);
    }
}
