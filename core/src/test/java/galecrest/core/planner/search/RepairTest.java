package galecrest.core.planner.search;

import static galecrest.core.plan.Shops.JobShape.needs;
import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.work.WorkId;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Where something slips and no date is in danger, only what hangs on it is told otherwise. */
class RepairTest {
    private static Shops twoCars(int arrivesOnDay) {
        Shops shops = shop().person("ada", "fit");
        shops.part("flange", shops.instant(arrivesOnDay, 8, 0), 0)
                .job("exhaust", "first", 240, "fit", needs("flange"))
                .job("load", "first", 120, "fit")
                .after("exhaust", "load")
                .job("brakes", "second", 480, "fit")
                .job("bleed", "second", 240, "fit")
                .after("brakes", "bleed")
                .due("first done", "first", shops.instant(25, 16, 0))
                .due("second done", "second", shops.instant(25, 16, 0));
        return shops;
    }

    @Test
    void theOtherCarStaysWhereItWasTold() {
        ShopSnapshot before = twoCars(1).snapshot();
        Plan told = Planner.plan(before, PlanOptions.interactive(before));
        ShopSnapshot after = twoCars(5).snapshot().withPublished(told);
        Plan mended = Planner.plan(after, PlanOptions.interactive(after));
        List<String> moved = PlanDifference.between(told, mended).moved().stream()
                .map(PlanDifference.Moved::work)
                .map(WorkId::value)
                .sorted()
                .toList();
        assertThat(moved).containsExactly("exhaust", "load");
    }

    /** The same by the order alone: what cannot stay, and what follows it, comes after all that can. */
    @Test
    void whatCannotStayComesAfterWhatCan() {
        ShopSnapshot before = twoCars(1).snapshot();
        Plan told = Planner.plan(before, PlanOptions.interactive(before));
        ShopSnapshot after = twoCars(5).snapshot().withPublished(told);
        SchedulingProblem problem = new SchedulingProblem(
                new ActivityNetwork(after, new TimeGrid(after.now(), after.zone(), PlanOptions.HORIZON)));
        int[] order = ActivityList.by(problem, Repair.keys(problem, new CriticalPath(problem.network), told));
        List<String> names = java.util.Arrays.stream(order)
                .mapToObj(node -> problem.network.works.get(node).id().value())
                .toList();
        assertThat(names).containsExactly("brakes", "bleed", "exhaust", "load");
    }
}
