package galecrest.core.planner.search;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.audit.PlanAudit;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.ActivityList;
import java.util.Set;
import org.junit.jupiter.api.Test;

class PortfolioTest {
    /** One step of one, three of the other; what is best of both is so by the evaluator that made it, and keeps all rules. */
    @Test
    void eachTakesItsTurnAndTheBestIsOfBoth() {
        for (int seed = 0; seed < 30; seed++) {
            ShopSnapshot bare = RandomShops.shop(seed, 40);
            ShopSnapshot shop = bare.withPublished(Planner.plan(bare, PlanOptions.once()));
            SchedulingProblem problem = new SchedulingProblem(
                    new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
            Evaluator one = new Evaluator(problem);
            Evaluator other = new Evaluator(problem);
            LocalSearch keeps = search(problem, one, true);
            LocalSearch free = search(problem, other, false);
            Portfolio portfolio = new Portfolio();
            portfolio.add(keeps, one, 1);
            portfolio.add(free, other, 3);
            int before = one.steps();
            int beforeOther = other.steps();
            for (int i = 0; i < 40; i++) {
                portfolio.step();
            }
            assertThat(one.steps() - before).isGreaterThanOrEqualTo(10);
            assertThat(other.steps() - beforeOther).isGreaterThanOrEqualTo(30);
            assertThat(portfolio.steps()).isEqualTo(one.steps() + other.steps());
            assertThat(portfolio.best().score())
                    .isLessThanOrEqualTo(keeps.best().score())
                    .isLessThanOrEqualTo(free.best().score());
            Plan plan = portfolio.evaluator().plan(portfolio.best());
            assertThat(plan.score()).isEqualByComparingTo(portfolio.best().score());
            assertThat(PlanAudit.violations(shop, plan)).as("seed %d", seed).isEmpty();
        }
    }

    private static LocalSearch search(SchedulingProblem problem, Evaluator evaluator, boolean keep) {
        CriticalPath urgency = new CriticalPath(problem.network);
        double[] keys = new double[problem.size];
        for (int node = 0; node < problem.size; node++) {
            keys[node] = PriorityRule.LATEST_START.key(urgency, node);
        }
        int[] order = ActivityList.by(problem, keys);
        boolean[] choices = Decisions.of(problem, false, keep, Set.of());
        return new LocalSearch(
                problem, evaluator, evaluator.made(order, choices, evaluator.make(order, choices)), 1, 0, !keep);
    }
}
