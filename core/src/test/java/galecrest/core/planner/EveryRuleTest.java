package galecrest.core.planner;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomDates;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** The random shops leave no rule out: each reason, broken pins, missed slots, starts at risk, all come up. */
class EveryRuleTest {
    @Test
    void everyReasonComesUpInTheRandomShops() {
        Set<String> reasons = new TreeSet<>();
        int broken = 0;
        int missed = 0;
        int atRisk = 0;
        for (long seed = 0; seed < 400; seed++) {
            ShopSnapshot some = RandomShops.shop(seed, 30);
            ShopSnapshot shop = seed % 4 == 0 ? RandomDates.withOutings(some, seed) : some;
            Plan plan = Planner.plan(shop, PlanOptions.interactive(shop).withSteps(30));
            plan.placed().forEach(p -> reasons.add(p.because().getClass().getSimpleName()));
            broken += plan.brokenPins().size();
            atRisk += plan.startedAtRisk().size();
            missed +=
                    (int) plan.placed().stream().filter(Plan.Placed::slotMissed).count();
        }
        Set<String> all = new TreeSet<>(Arrays.stream(Because.class.getPermittedSubclasses())
                .map(Class::getSimpleName)
                .toList());
        assertThat(reasons).isEqualTo(all);
        assertThat(broken).isPositive();
        assertThat(missed).isPositive();
        assertThat(atRisk).isPositive();
    }
}
