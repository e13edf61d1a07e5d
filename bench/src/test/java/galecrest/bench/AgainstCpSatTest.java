package galecrest.bench;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.audit.PlanAudit;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import org.junit.jupiter.api.Test;

/** Small shops against OR-Tools CP-SAT, which proves the optimum: the planner finds it nearly always, never beats it. */
class AgainstCpSatTest {
    private static final int SHOPS = 200;
    private static final double NOISE = 1e-6;

    @Test
    void smallShopsAreSolvedToTheOptimum() {
        int found = 0;
        for (int seed = 0; seed < SHOPS; seed++) {
            ShopSnapshot shop = ReducedShop.of(seed, 6 + seed % 7, 2 + seed % 3, 2 + seed % 2);
            CpSat.Found optimum = CpSat.solve(shop, 20).orElseThrow();
            assertThat(optimum.optimal()).isTrue();
            assertThat(PlanAudit.violations(shop, optimum.plan()))
                    .as("the solver's plan keeps every rule, seed " + seed)
                    .isEmpty();
            Plan plan = Planner.plan(shop, PlanOptions.thorough(2_000, 1));
            assertThat(PlanAudit.violations(shop, plan)).isEmpty();
            double lateness = plan.score().hardLateness();
            assertThat(lateness)
                    .as("never below a proven optimum, seed " + seed)
                    .isGreaterThan(optimum.lateness() - NOISE);
            found += lateness < optimum.lateness() + NOISE ? 1 : 0;
        }
        assertThat(found).isGreaterThanOrEqualTo((int) Math.ceil(0.95 * SHOPS));
    }
}
