package galecrest.core.risk;

import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.time.Minutes;
import galecrest.core.work.Estimate;
import galecrest.core.work.Findings;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Work;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;

/** The odds against closed forms, and their promises: same luck for the same seed, at any number of threads. */
class RiskProfileTest {
    private static final int TRIALS = 20_000;
    private static final LocalTime ALWAYS = LocalTime.MIDNIGHT;

    /** Quantiles of the beta distribution by Apache Commons Statistics. */
    @Test
    void betaPertIsTheBetaDistributionOfCommonsStatistics() {
        double[][] estimates = {{2, 4, 12}, {10, 20, 30}, {0, 0, 60}, {5, 60, 60}, {30, 45, 240}};
        for (double[] e : estimates) {
            double alpha = 1 + 4 * (e[1] - e[0]) / (e[2] - e[0]);
            BetaDistribution beta = BetaDistribution.of(alpha, 6 - alpha);
            for (double u = 0.005; u < 1; u += 0.005) {
                double expected = e[0] + (e[2] - e[0]) * beta.inverseCumulativeProbability(u);
                assertThat(BetaPert.quantile(u, e[0], e[1], e[2])).isCloseTo(expected, within(0.002 * (e[2] - e[0])));
            }
        }
    }

    /** (2, 4, 12): the mean is (2 + 16 + 12)/6 = 5 (Malcolm and others, 1959). */
    @Test
    void theMeanOfBetaPertIsThePertMean() {
        double sum = 0;
        int n = 100_000;
        for (int i = 0; i < n; i++) {
            sum += BetaPert.quantile((i + 0.5) / n, 2, 4, 12);
        }
        assertThat(sum / n).isCloseTo(5.0, within(0.005));
    }

    /** Spearman's coefficient of two rankings without ties is 1 − 6 Σd²/(n(n² − 1)). */
    @Test
    void rankCorrelationIsSpearmans() {
        double[] a = {1, 5, 2, 9, 7};
        double[] b = {3, 4, 1, 8, 10};
        double squares = 1 + 0 + 1 + 1 + 1;
        assertThat(RankCorrelation.correlation(RankCorrelation.of(a), RankCorrelation.of(b)))
                .isCloseTo(1 - 6 * squares / (5 * 24), within(1e-12));
        assertThat(RankCorrelation.of(new double[] {4, 4, 1})).containsExactly(1.5, 1.5, 0);
    }

    private static ShopSnapshot estimated(ShopSnapshot shop, long low, long likely, long high) {
        Estimate estimate = Estimate.ofMinutes(low, likely, high);
        return shop.withWorks(shop.works().stream()
                .map(w -> w instanceof Job job ? job.withCrew(job.crew(), estimate) : w)
                .toList());
    }

    private static RiskProfile chance(ShopSnapshot shop, RiskOptions options) {
        var thought = Planner.think(shop, PlanOptions.interactive(shop), (s, b) -> true);
        return MonteCarlo.of(shop, thought.plan(), options, done -> true).orElseThrow();
    }

    private static double hours(ShopSnapshot shop, Optional<Instant> at) {
        return Duration.between(shop.now(), at.orElseThrow()).toMinutes() / 60.0;
    }

    /**
     * Nine jobs in a row: the sum has the sum of the means, and the variance (mean − low)(high − mean)/7 of each beta
     * (both from the definition of the distribution). By the central limit theorem its quantiles are near the normal
     * ones.
     */
    @Test
    void aChainOfJobsTakesTheSumOfTheMeans() {
        Shops shops = shop().person("bo", "fit", ALWAYS, ALWAYS);
        for (int i = 0; i < 9; i++) {
            shops.job("j" + i, "car", 600, "fit", Shops.JobShape.bench());
            if (i > 0) {
                shops.link("j" + (i - 1), "j" + i, Link.Type.FINISH_START, Link.Lag.NONE, Optional.empty());
            }
        }
        ShopSnapshot shop =
                estimated(shops.due("test", "car", shops.instant(4, 14, 0)).snapshot(), 300, 600, 1500);
        double mean = 9 * (300 + 4 * 600 + 1500) / 6.0 / 60;
        double deviation = Math.sqrt(9 * (11.6667 - 5) * (25 - 11.6667) / 7);
        RiskProfile.Odds odds =
                chance(shop, RiskOptions.of(TRIALS, 3, 2)).odds().get(0);
        double error = 3 * deviation / Math.sqrt(TRIALS);
        assertThat(hours(shop, odds.p50())).isCloseTo(mean, within(0.01 * mean + error));
        assertThat(hours(shop, odds.p80())).isCloseTo(mean + 0.8416 * deviation, within(0.01 * mean + 3 * error));
        assertThat(odds.error()).isCloseTo(Math.sqrt(odds.chance() * (1 - odds.chance()) / TRIALS), within(1e-12));
        assertThat(odds.chain()).allMatch(c -> c.share() == 1.0).hasSize(9);
        assertThat(odds.drivers()).allMatch(d -> d.correlation() > 0.2);
    }

    /** The mean of the maximum of two independent uniforms on [0, 1] is 2/3, its P50 √½: P(max ≤ x) = x². */
    @Test
    void twoJobsSideBySideTakeTheMaximum() {
        Shops shops = shop().person("bo", "fit", ALWAYS, ALWAYS)
                .person("kit", "weld", ALWAYS, ALWAYS)
                .job("a", "car", 3000, "fit", Shops.JobShape.bench())
                .job("b", "car", 3000, "weld", Shops.JobShape.bench());
        ShopSnapshot shop =
                estimated(shops.due("test", "car", shops.instant(3, 8, 0)).snapshot(), 5, 3000, 6000);
        RiskOptions uniform = new RiskOptions(TRIALS, 5, 2, (u, low, likely, high) -> low + u * (high - low));
        RiskProfile.Odds odds = chance(shop, uniform).odds().get(0);
        assertThat(hours(shop, odds.p50())).isCloseTo(100 * Math.sqrt(0.5), within(1.2));
        assertThat(hours(shop, odds.p95())).isCloseTo(100 * Math.sqrt(0.95), within(1.2));
        double mean = odds.spread().stream()
                .skip(1)
                .mapToDouble(t -> hours(shop, Optional.of(t)))
                .average()
                .orElseThrow();
        assertThat(mean).as("right ends of twenty equal shares").isBetween(100 * 2 / 3.0, 100 * 2 / 3.0 + 2.5);
        double kept = 72.0 / 100;
        assertThat(odds.chance()).isCloseTo(kept * kept, within(4 * odds.error()));
    }

    @Test
    void theSeedAloneMakesTheLuck() {
        ShopSnapshot shop = RandomShops.shop(12, 30);
        RiskProfile one = chance(shop, RiskOptions.of(300, 9, 1));
        assertThat(chance(shop, RiskOptions.of(300, 9, 3))).isEqualTo(one);
        assertThat(chance(shop, RiskOptions.of(300, 10, 1))).isNotEqualTo(one);
    }

    /** With no uncertainty every trial is the plan itself. */
    @Test
    void withoutUncertaintyEveryTrialIsThePlan() {
        Shops shops = shop().person("bo", "fit").station("lift 1", "lift");
        shops.job("a", "car", 200, "fit").job("b", "car", 300, "fit").due("test", "car", shops.instant(2, 12, 0));
        ShopSnapshot shop = shops.snapshot();
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        RiskProfile.Odds odds = chance(shop, RiskOptions.of(50, 1, 2)).odds().get(0);
        assertThat(odds.p50()).isEqualTo(plan.outlooks().get(0).finish());
        assertThat(odds.spread()).containsOnly(plan.outlooks().get(0).finish().orElseThrow());
        assertThat(odds.chance()).isEqualTo(1.0);
    }

    /**
     * Two jobs beside each other, the second at risk of having to be done again once the first has ended: with B within A's
     * time the end is A's in three of four trials, and 400 min after it in the fourth: F(x) = ¾ A(x) + ¼ A(x − 400 min).
     * Quantiles of that by the beta distribution of Commons Statistics, by bisection.
     */
    @Test
    void reworkOfAnAtRiskStartComesAfterTheRiskIsKnown() {
        Shops shops = shop().person("bo", "fit", ALWAYS, ALWAYS).person("kit", "weld", ALWAYS, ALWAYS);
        shops.job("a", "car", 600, "weld", Shops.JobShape.bench())
                .job("b", "car", 300, "fit", Shops.JobShape.bench())
                .link(
                        "a",
                        "b",
                        Link.Type.FINISH_START,
                        Link.Lag.NONE,
                        Optional.of(new Link.Risk(0.25, Minutes.of(400))))
                // Only the start ahead of it keeps this date.
                .due("test", "car", shops.instant(0, 22, 0));
        ShopSnapshot plain = shops.snapshot();
        ShopSnapshot shop = plain.withWorks(plain.works().stream()
                .map(w -> w.id().value().equals("a")
                        ? (Work) ((Job) w).withCrew(((Job) w).crew(), Estimate.ofMinutes(300, 600, 1200))
                        : w)
                .toList());
        double alpha = 1 + 4 * (600 - 300) / 900.0;
        BetaDistribution a = BetaDistribution.of(alpha, 6 - alpha);
        DoubleUnaryOperator share = x -> 0.75 * a.cumulativeProbability(Math.max(0, Math.min(1, (x - 300) / 900)))
                + 0.25 * a.cumulativeProbability(Math.max(0, Math.min(1, (x - 700) / 900)));
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        assertThat(plan.startedAtRisk()).hasSize(1);
        RiskProfile.Odds odds = chance(shop, RiskOptions.of(8000, 7, 2)).odds().get(0);
        assertThat(odds.chance()).isCloseTo(share.applyAsDouble(840), within(4 * odds.error() + 0.005));
        assertThat(hours(shop, odds.p50())).isCloseTo(quantile(share, 0.5), within(0.15));
        assertThat(hours(shop, odds.p80())).isCloseTo(quantile(share, 0.8), within(0.25));
        assertThat(hours(shop, odds.p95())).isCloseTo(quantile(share, 0.95), within(0.25));
    }

    /** In hours, of a distribution over minutes. */
    private static double quantile(DoubleUnaryOperator share, double of) {
        double low = 0;
        double high = 3000;
        while (high - low > 1e-3) {
            double middle = (low + high) / 2;
            if (share.applyAsDouble(middle) < of) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high / 60;
    }

    /**
     * A job in one go of 60 to 300 min, even, begun at 13:00 by one whose day ends at 16:00 with two hours to stay on: it
     * ends by 16:00 in half of the trials, by 18:00 in all, and does not fit the day in the other half.
     */
    @Test
    void whoCannotStopStaysOn() {
        Shops shops = shop().person("bo", "fit")
                .job("first", "car", 300, "fit", Shops.JobShape.bench())
                .job("bond", "car", 180, "fit", Shops.JobShape.bench().and(Shops.JobShape.inOneGo()))
                .after("first", "bond");
        RiskProfile chance = bonded(shops, 60, 300);
        assertThat(chance.odds().get(0).chance()).as("by 16:00").isCloseTo(0.5, within(0.03));
        assertThat(chance.overruns()).singleElement().satisfies(o -> {
            assertThat(o.work().value()).isEqualTo("bond");
            assertThat(o.share()).isCloseTo(0.5, within(0.03));
        });
        assertThat(chance.odds().get(0).spread().get(20)).isEqualTo(shops.instant(0, 18, 0));
    }

    /** More than the house lets anybody stay on: begun again next morning, where it fits into the day. */
    @Test
    void whatIsTooLongForTheEveningIsBegunInTheMorning() {
        Shops shops = shop().person("bo", "fit")
                .job("first", "car", 300, "fit", Shops.JobShape.bench())
                .job("bond", "car", 180, "fit", Shops.JobShape.bench().and(Shops.JobShape.inOneGo()))
                .after("first", "bond");
        RiskProfile chance = bonded(shops, 180, 420);
        var spread = chance.odds().get(0).spread();
        assertThat(spread.get(9)).as("up to 300 min in half").isBeforeOrEqualTo(shops.instant(0, 18, 0));
        assertThat(spread.get(11)).isAfter(shops.instant(1, 12, 0));
        assertThat(spread).as("it always ends").hasSize(21);
        assertThat(spread.get(20)).isBeforeOrEqualTo(shops.instant(1, 15, 0));
    }

    /** A job that is longer than anybody's day is never given up: they stay until it is done. */
    @Test
    void whatFitsNobodysDayEndsAllTheSame() {
        Shops shops = shop().person("bo", "fit")
                .job("bond", "car", 420, "fit", Shops.JobShape.bench().and(Shops.JobShape.inOneGo()));
        RiskProfile chance = bonded(shops, 300, 1200);
        assertThat(chance.odds().get(0).spread()).hasSize(21);
        assertThat(chance.odds().get(0).p95()).isPresent();
    }

    /** Another qualified hand, whose day is longer, takes over what does not fit. */
    @Test
    void anotherQualifiedHandIsLent() {
        Shops shops = shop().person("bo", "fit", LocalTime.of(8, 0), LocalTime.of(12, 0))
                .person("kit", "fit", LocalTime.of(8, 0), LocalTime.of(20, 0))
                .job("kit's", "spare", 600, "fit", Shops.JobShape.bench())
                .job("bond", "car", 180, "fit", Shops.JobShape.bench().and(Shops.JobShape.inOneGo()));
        RiskProfile chance = bonded(shops, 180, 600);
        assertThat(chance.overruns()).isNotEmpty();
        assertThat(chance.odds().get(0).spread()).hasSize(21);
        assertThat(chance.odds().get(0).spread().get(20)).isBeforeOrEqualTo(shops.instant(1, 20, 0));
    }

    /** The odds of a shop due at 16:00 today whose job in one go takes an even time between two. */
    private static RiskProfile bonded(Shops shops, long low, long high) {
        ShopSnapshot plain = shops.due("test", "car", shops.instant(0, 16, 0)).snapshot();
        ShopSnapshot shop = plain.withWorks(plain.works().stream()
                .map(w -> w.id().value().equals("bond")
                        ? (Work) ((Job) w)
                                .withCrew(
                                        ((Job) w).crew(),
                                        Estimate.ofMinutes(low, ((Job) w).toDo().value(), high))
                        : w)
                .toList());
        RiskOptions uniform = new RiskOptions(TRIALS, 5, 2, (u, l, likely, h) -> l + u * (h - l));
        return chance(shop, uniform);
    }

    /** Common practice: what starts at risk of a half must be redone in half of the cases. */
    @Test
    void reworkComesAsOftenAsItsRiskSays() {
        Shops shops = shop().person("bo", "fit", ALWAYS, ALWAYS).person("kit", "weld", ALWAYS, ALWAYS);
        shops.job("a", "car", 600, "weld", Shops.JobShape.bench())
                .job("b", "car", 600, "fit", Shops.JobShape.bench())
                .link("a", "b", Link.Type.FINISH_START, Link.Lag.NONE, Optional.of(new Link.Risk(0.5, Minutes.of(300))))
                .due("test", "car", shops.instant(0, 19, 0));
        RiskProfile.Odds odds =
                chance(shops.snapshot(), RiskOptions.of(4000, 2, 2)).odds().get(0);
        assertThat(odds.chance()).isCloseTo(0.5, within(4 * odds.error()));
    }

    /** After an even 0 to 100 h of work, with an hour's drive: in time for one in 25, 50, 75 h in 24, 49, 74 % of trials. */
    @Test
    void aCarIsInTimeForASlotAsOftenAsItsWorkIsDone() {
        Shops shops = shop().person("bo", "fit", ALWAYS, ALWAYS)
                .job("a", "car", 3000, "fit")
                .outwork("dyno", "car", true, 1)
                .after("a", "dyno");
        Instant now = shops.snapshot().now();
        for (int hours : new int[] {25, 50, 75}) {
            shops.offerSlot("in " + hours, now.plusSeconds(hours * 3600L));
        }
        ShopSnapshot shop =
                estimated(shops.due("test", "car", shops.instant(9, 8, 0)).snapshot(), 5, 3000, 6000);
        RiskOptions uniform = new RiskOptions(TRIALS, 5, 2, (u, low, likely, high) -> low + u * (high - low));
        RiskProfile.Departure dyno = chance(shop, uniform).departures().get(0);
        assertThat(dyno.booked()).isEmpty();
        assertThat(hours(shop, dyno.p80())).isCloseTo(80, within(1.5));
        for (int i = 0; i < 3; i++) {
            assertThat(dyno.offered().get(i).chance()).isCloseTo(0.24 + 0.25 * i, within(0.03));
        }
    }

    /** A strip that finds ten hours more in three of ten trials; the rest is certain. */
    @Test
    void whatAStripFindsCountsAsOftenAsItsChanceSays() {
        Shops shops = shop().person("bo", "fit", ALWAYS, ALWAYS).job("strip", "car", 600, "fit");
        ShopSnapshot plain = shops.due("test", "car", shops.instant(1, 2, 0)).snapshot();
        ShopSnapshot shop = plain.withWorks(plain.works().stream()
                .map(w -> (Work) ((Job) w).withFindings(new Findings(0.3, Minutes.of(600))))
                .toList());
        RiskProfile.Odds odds =
                chance(shop, RiskOptions.of(TRIALS, 11, 2)).odds().get(0);
        assertThat(odds.chance()).as("without a finding it is ready 18:00").isCloseTo(0.7, within(4 * odds.error()));
        assertThat(hours(shop, odds.p50())).isEqualTo(10);
        assertThat(hours(shop, odds.p80())).isEqualTo(20);
        assertThat(odds.drivers().get(0).what()).isEqualTo(RiskProfile.What.FINDINGS);
    }
}
