package galecrest.core.planner;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.audit.PlanAudit;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomDates;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** Plans of random shops break no rule, whatever the shop. */
class RandomShopsTest {
    @Property(tries = 2_500)
    void noPlanBreaksARule(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 6 + (int) (seed % 30));
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop).withSteps(60));
        assertThat(PlanAudit.violations(shop, plan)).isEmpty();
    }

    @Property(tries = 500)
    void noPlanBreaksARuleWhereCarsAreParked(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomDates.withOutings(
                RandomDates.withFindings(RandomDates.withParkedCars(seed, 6 + (int) (seed % 30)), seed), seed);
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop).withSteps(60));
        assertThat(PlanAudit.violations(shop, plan)).isEmpty();
        ShopSnapshot back = shop.withTaken(plan)
                .withBuilds(shop.builds().stream()
                        .map(b -> b.withParked(Optional.empty()))
                        .toList());
        assertThat(PlanAudit.violations(back, Planner.plan(back, PlanOptions.interactive(back))))
                .as("taken back")
                .isEmpty();
    }

    @Property(tries = 50)
    void theSameShopGetsTheSamePlan(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 20);
        assertThat(Planner.plan(shop, PlanOptions.interactive(shop).withSteps(60)))
                .isEqualTo(Planner.plan(shop, PlanOptions.interactive(shop).withSteps(60)));
    }
}
