package galecrest.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.EditedShops;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What people were told of the frozen days is kept by the planner, and a plan that does not keep it is caught. */
class FrozenAuditTest {
    private static final Map<ShopSnapshot, Plan> PLANS = new LinkedHashMap<>();

    @BeforeAll
    static void planAll() {
        LongStream.range(0, 80)
                .mapToObj(EditedShops::shop)
                .forEach(shop -> PLANS.put(
                        shop, Planner.plan(shop, PlanOptions.interactive(shop).withSteps(30))));
    }

    private static Set<ShopSnapshot> shops() {
        return PLANS.keySet();
    }

    private static Plan plan(ShopSnapshot shop) {
        return PLANS.get(shop);
    }

    private static List<String> broken(ShopSnapshot shop, Plan plan) {
        return PlanAudit.violations(shop, plan).stream()
                .filter(v -> v.rule().equals("frozen"))
                .map(Violation::toString)
                .toList();
    }

    @Test
    void afterAnyEditFrozenWorkStaysOrThePlanSaysWhyNot() {
        for (ShopSnapshot shop : shops()) {
            assertThat(broken(shop, plan(shop))).isEmpty();
        }
    }

    @Test
    void aPlanThatComesALittleLaterThanPeopleWereToldIsCaught() {
        long caught = shops().stream()
                .filter(shop -> {
                    Plan plan = plan(shop);
                    return !broken(
                                    shop,
                                    plan.withPlaced(plan.placed().stream()
                                            .map(p -> PlanAuditTest.moved(p, Duration.ofMinutes(5)))
                                            .toList()))
                            .isEmpty();
                })
                .count();
        assertThat(caught).isGreaterThan(10);
    }

    @Test
    void aReasonForNothingIsCaught() {
        long caught = shops().stream()
                .filter(shop -> {
                    Plan plan = plan(shop);
                    Plan excused = new Plan(
                            plan.madeFor(),
                            plan.placed(),
                            plan.unplanned(),
                            plan.brokenPins(),
                            plan.startedAtRisk(),
                            plan.placed().stream()
                                    .filter(p -> p.start().isBefore(shop.now().plus(Duration.ofHours(8))))
                                    .map(p -> new Plan.Thawed(p.work(), "made up"))
                                    .toList(),
                            plan.outlooks(),
                            plan.score());
                    return !broken(shop, excused).isEmpty();
                })
                .count();
        assertThat(caught).isGreaterThan(10);
    }
}
