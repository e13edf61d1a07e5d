package galecrest.core.insight;

import static galecrest.core.plan.Shops.JobShape.needs;
import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.time.Arrival;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is offered is better by the planner's own score, worth its while, and told in figures that can be counted. */
class BetterPlanTest {
    /** The plan still waits for a part that has come meanwhile; the race is two days after it was to come. */
    private static ShopSnapshot waitingForNothing() {
        Shops shops = shop().person("ada", "fit");
        ShopSnapshot before = shops.part("flange", shops.instant(9, 8, 0), 0)
                .job("exhaust", "first", 240, "fit", needs("flange"))
                .job("load", "first", 120, "fit")
                .after("exhaust", "load")
                .due("race", "first", shops.instant(4, 16, 0))
                .snapshot();
        Plan told = Planner.plan(before, PlanOptions.interactive(before));
        return before.withPublished(told)
                .withParts(before.parts().stream()
                        .map(p -> p.withArrival(Optional.of(Arrival.exactly(shops.instant(2, 8, 0)))))
                        .toList());
    }

    private static Optional<BetterPlan> offered(ShopSnapshot shop) {
        Plan standing = Planner.plan(shop, PlanOptions.interactive(shop));
        Plan better = Planner.plan(shop.withTaken(standing), PlanOptions.thorough(200, 1));
        return BetterPlan.between(shop, standing, better);
    }

    @Test
    void itSaysWhatIsSavedWhatMovesAndWhomToTell() {
        ShopSnapshot shop = waitingForNothing();
        BetterPlan offer = offered(shop).orElseThrow();
        assertThat(offer.headline(shop)).contains("makes race with").contains("to spare");
        assertThat(offer.detail(shop))
                .matches("2 jobs move, (none before .*|from today).*")
                .contains(": ada 2.");
        assertThat(offer.lines(shop)).hasSize(2).anyMatch(line -> line.contains("exhaust"));
        assertThat(offer.wins()).singleElement().satisfies(win -> {
            assertThat(win.before().orElseThrow().value()).isNegative();
            assertThat(win.after().orElseThrow().value()).isPositive();
        });
        assertThat(offer.losses()).isEmpty();
    }

    @Test
    void whatIsNoBetterIsNotOffered() {
        ShopSnapshot shop = waitingForNothing();
        Plan standing = Planner.plan(shop, PlanOptions.interactive(shop));
        assertThat(BetterPlan.between(shop, standing, standing)).isEmpty();
        Plan better = Planner.plan(shop.withTaken(standing), PlanOptions.thorough(200, 1));
        assertThat(BetterPlan.between(shop, better, standing)).isEmpty();
    }

    /** Whatever is offered: its score is better, and its gain is the sum of what the scores differ by. */
    @Test
    void anOfferIsBetterByTheScore() {
        int offers = 0;
        for (int seed = 0; seed < 120; seed++) {
            ShopSnapshot bare = RandomShops.shop(seed, 18);
            ShopSnapshot shop = bare.withPublished(Planner.plan(bare, PlanOptions.once()));
            Plan standing = Planner.plan(shop, PlanOptions.interactive(shop));
            Plan better = Planner.plan(shop.withTaken(standing), PlanOptions.thorough(60, 1));
            Optional<BetterPlan> offer = BetterPlan.between(shop, standing, better);
            if (offer.isPresent()) {
                offers++;
                Score was = standing.score();
                Score now = better.score();
                assertThat(now).isLessThan(was);
                double gain = 160 * (was.missing() - now.missing())
                        + 4 * (was.hardLateness() - now.hardLateness())
                        + (was.promisedLateness() - now.promisedLateness())
                        + (was.bufferEaten() + was.followLate() - now.bufferEaten() - now.followLate()) / 4;
                assertThat(offer.get().gain()).isGreaterThanOrEqualTo(2).isCloseTo(gain, within());
                assertThat(offer.get().moved()).isNotEmpty();
                assertThat(offer.get().tell().values().stream()
                                .mapToInt(Integer::intValue)
                                .sum())
                        .isEqualTo(offer.get().moved().stream()
                                .mapToInt(m -> m.concerns().size())
                                .sum());
            }
        }
        assertThat(offers).isGreaterThan(5);
    }

    private static org.assertj.core.data.Offset<Double> within() {
        return org.assertj.core.data.Offset.offset(1e-6);
    }
}
