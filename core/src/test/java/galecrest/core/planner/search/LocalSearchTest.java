package galecrest.core.planner.search;

import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.audit.PlanAudit;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.work.Link;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** What the search promises: never worse for more steps, the same for the same seed, calm where nothing happens. */
class LocalSearchTest {
    @Property(tries = 40)
    void moreStepsAreNeverWorse(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 25);
        Score few =
                Planner.plan(shop, PlanOptions.interactive(shop).withSteps(30)).score();
        Plan many = Planner.plan(shop, PlanOptions.interactive(shop).withSteps(400));
        assertThat(many.score()).isLessThanOrEqualTo(few);
        assertThat(PlanAudit.violations(shop, many)).isEmpty();
    }

    /** A large shop is searched in another way, with a plan that stands and without. */
    @Test
    void soItIsWithALargeShop() {
        ShopSnapshot shop = RandomShops.shop(12, 220);
        PlanOptions options = PlanOptions.thorough(150, 3).withSearches(1);
        Plan few = Planner.plan(shop, options);
        Plan many = Planner.plan(shop, options.withSteps(1_500));
        assertThat(many.score()).isLessThanOrEqualTo(few.score());
        assertThat(PlanAudit.violations(shop, many)).isEmpty();
        ShopSnapshot told = shop.withPublished(few);
        Plan better = Planner.plan(told, options.withSteps(1_500));
        assertThat(better.score())
                .isLessThanOrEqualTo(Planner.plan(told, options).score());
        assertThat(PlanAudit.violations(told, better)).isEmpty();
        assertThat(Planner.plan(told, options.withSteps(1_500))).isEqualTo(better);
    }

    @Test
    void twoSearchesSideBySideGiveTheSamePlanEachTime() {
        ShopSnapshot shop = RandomShops.shop(77, 30);
        PlanOptions options = PlanOptions.thorough(300, 5);
        assertThat(Planner.plan(shop, options)).isEqualTo(Planner.plan(shop, options));
    }

    /**
     * Two machines, three jobs: by Johnson's rule (1954) the best order of (3, 6), (5, 2), (1, 2) is 3, 1, 2 with a
     * makespan of 12, checked by hand.
     */
    @Test
    void twoMachineFlowShopIsSolvedAsByJohnsonsRule() {
        int[][] times = {{3, 6}, {5, 2}, {1, 2}};
        Shops shops = shop().person("first", "turn").person("second", "grind");
        for (int i = 0; i < times.length; i++) {
            shops.job("a" + i, "car", 30 * times[i][0], "turn", Shops.JobShape.bench())
                    .job("b" + i, "car", 30 * times[i][1], "grind", Shops.JobShape.bench())
                    .link("a" + i, "b" + i, Link.Type.FINISH_START, Link.Lag.NONE, Optional.empty());
        }
        ShopSnapshot shop = shops.due("done", "car", shops.instant(0, 8, 0)).snapshot();
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        Instant finish = plan.outlooks().get(0).finish().orElseThrow();
        assertThat(Duration.between(shop.now(), finish)).isEqualTo(Duration.ofMinutes(12 * 30));
    }

    /** A plan made again may be better, but where it is not, it is the same to the minute. */
    @Test
    void whereNothingChangedNobodyIsToldOtherwise() {
        int same = 0;
        for (int seed = 0; seed < 60; seed++) {
            ShopSnapshot shop = RandomShops.shop(seed * 3L + 1, 20);
            var thought = Planner.think(shop, PlanOptions.interactive(shop), (s, b) -> true);
            ShopSnapshot told = shop.withPublished(thought.plan());
            Plan again =
                    Planner.plan(told, PlanOptions.interactive(told).searching().from(Optional.of(thought.guide())));
            assertThat(PlanAudit.violations(told, again)).isEmpty();
            assertThat(again.score()).isLessThanOrEqualTo(thought.plan().score());
            if (again.score().compareTo(thought.plan().score()) == 0) {
                assertThat(PlanDifference.between(thought.plan(), again).moved())
                        .isEmpty();
                same++;
            }
        }
        assertThat(same).isGreaterThan(30);
    }

    @Test
    void aWatchEndsTheSearchWithTheBestSoFar() {
        ShopSnapshot shop = RandomShops.shop(5, 30);
        int[] asked = new int[1];
        var thought =
                Planner.think(shop, PlanOptions.thorough(Long.MAX_VALUE / 64, 1), (steps, best) -> asked[0]++ < 4);
        assertThat(thought.steps()).isLessThan(1000);
        assertThat(PlanAudit.violations(shop, thought.plan())).isEmpty();
    }

    /** What stays told today, stays; what cannot, is said with its reason. */
    @Test
    void todayIsLeftAsPeopleWereTold() {
        Shops shops = shop().person("bo", "fit")
                .job("easy", "car", 120, "fit")
                .job("urgent", "car", 120, "fit")
                .due("test", "car", shop().instant(3, 16, 0));
        ShopSnapshot shop = shops.snapshot();
        Plan told = Planner.plan(shop, PlanOptions.interactive(shop));
        Plan.Placed first = told.placed().get(0);
        ShopSnapshot published = shop.withPublished(told);
        Plan calm = Planner.plan(published, PlanOptions.interactive(published));
        assertThat(calm.placed()).isEqualTo(told.placed());
        assertThat(calm.thawed()).isEmpty();

        ShopSnapshot later = published.at(shop.now().plus(Duration.ofHours(7)));
        Plan late = Planner.plan(later, PlanOptions.interactive(later));
        assertThat(PlanAudit.violations(later, late)).isEmpty();
        assertThat(late.placed().get(0).start()).isAfter(first.start());
    }

    @Test
    void peopleOfOneKindAreSettledWithoutOverlap() {
        Shops shops = shop();
        for (int i = 0; i < 6; i++) {
            shops.person("hand" + i, "fit");
        }
        for (int i = 0; i < 12; i++) {
            shops.job("job" + i, "car" + i, 60 + 30 * (i % 3), "fit", Shops.JobShape.hands(1 + i % 2));
        }
        ShopSnapshot shop = shops.snapshot();
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        assertThat(PlanAudit.violations(shop, plan)).isEmpty();
        List<Plan.Placed> atOnce =
                plan.placed().stream().filter(p -> p.start().equals(shop.now())).toList();
        assertThat(atOnce.stream().mapToInt(p -> p.crew().size()).sum()).isEqualTo(6);
    }
}
