package galecrest.core.gauge.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.apache.commons.math3.stat.inference.TTest;
import org.junit.jupiter.api.Test;

class PowerComparisonTest {
    private static final double CONFIDENCE = 0.95;

    private static double[] runs(Random random, int count, double mean, double scatter) {
        return random.doubles(count, 0, 1)
                .map(u -> mean + scatter * random.nextGaussian())
                .toArray();
    }

    /** Against Welch's test of Commons Math, at any confidence. */
    @Property(tries = 400)
    void isRealWhereTheReferenceRejects(@ForAll long seed) {
        Random random = new Random(seed);
        double[] before = runs(random, 2 + random.nextInt(6), 150_000, 200 + random.nextInt(2_000));
        double[] after =
                runs(random, 2 + random.nextInt(6), 150_000 + random.nextInt(4_000), 200 + random.nextInt(2_000));
        double p = new TTest().tTest(before, after);
        double confidence = 0.8 + 0.19 * random.nextDouble();
        PowerComparison comparison = PowerComparison.of(before, after, confidence, 1, Double.NaN);
        if (Math.abs(p - (1 - confidence)) > 1e-6) {
            assertThat(comparison.verdict() == PowerComparison.Verdict.REAL).isEqualTo(p < 1 - confidence);
        }
        // One comparison of four is judged at a quarter of what may be mistaken.
        boolean strict =
                PowerComparison.of(before, after, confidence, 4, Double.NaN).verdict() == PowerComparison.Verdict.REAL;
        if (Math.abs(p - (1 - confidence) / 4) > 1e-6) {
            assertThat(strict).isEqualTo(p < (1 - confidence) / 4);
        }
    }

    /** A thousand made days without a change: no more are called real than is claimed, but for three of its own deviations. */
    @Test
    void noChangeIsSeldomCalledReal() {
        Random random = new Random(17);
        int days = 1_000;
        int called = 0;
        for (int day = 0; day < days; day++) {
            double scatter = 300 + random.nextInt(1_500);
            PowerComparison comparison = PowerComparison.of(
                    runs(random, 4, 150_000, scatter), runs(random, 4, 150_000, scatter), CONFIDENCE, 1, Double.NaN);
            called += comparison.verdict() == PowerComparison.Verdict.REAL ? 1 : 0;
        }
        double most = days * (1 - CONFIDENCE) + 3 * Math.sqrt(days * CONFIDENCE * (1 - CONFIDENCE));
        assertThat((double) called).isLessThanOrEqualTo(most);
    }

    /** A thousand made days with a change of just the size that the runs were counted for: it is found as often as claimed. */
    @Test
    void aChangeOfTheSaidSizeIsFoundAsOftenAsClaimed() {
        Random random = new Random(23);
        double scatter = 900;
        double worth = 2_000;
        int needed = PowerComparison.needed(scatter, worth, CONFIDENCE);
        assertThat(needed).isBetween(4, 7);
        int days = 1_000;
        int found = 0;
        for (int day = 0; day < days; day++) {
            PowerComparison comparison = PowerComparison.of(
                    runs(random, needed, 150_000, scatter),
                    runs(random, needed, 150_000 + worth, scatter),
                    CONFIDENCE,
                    1,
                    worth);
            found += comparison.verdict() == PowerComparison.Verdict.REAL ? 1 : 0;
        }
        double least = days * PowerComparison.POWER - 3 * Math.sqrt(days * 0.8 * 0.2);
        assertThat((double) found).isGreaterThanOrEqualTo(least);
        assertThat(PowerComparison.needed(scatter, 10, CONFIDENCE))
                .as("nobody drives so many")
                .isZero();
    }

    @Test
    void tooFewRunsAndCopiesAreNotEnough() {
        double[] two = {150_000, 151_000};
        assertThat(PowerComparison.of(new double[] {150_000}, two, CONFIDENCE, 1, Double.NaN)
                        .verdict())
                .isEqualTo(PowerComparison.Verdict.NOT_ENOUGH_RUNS);
        assertThat(PowerComparison.of(
                                new double[] {150_000, 150_000},
                                new double[] {160_000, 160_000},
                                CONFIDENCE,
                                1,
                                Double.NaN)
                        .verdict())
                .isEqualTo(PowerComparison.Verdict.NOT_ENOUGH_RUNS);
        PowerComparison blunt = PowerComparison.of(two, new double[] {150_500, 152_000}, CONFIDENCE, 1, 500);
        assertThat(blunt.verdict()).isEqualTo(PowerComparison.Verdict.NOT_ENOUGH_RUNS);
        assertThat(blunt.least()).isGreaterThan(500);
        assertThat(blunt.difference()).isCloseTo(750, within(1e-9));
    }

    private static Map<String, Object> run(String side, String power, String gear) {
        return Map.of("side", side, "power", power, "gear", gear);
    }

    @Test
    void unlikeRunsAreRefusedAndTwoChangesAreMarked() {
        List<Map<String, Object>> runs = new ArrayList<>(List.of(
                run("before", "150.2 kW", "4th"),
                run("before", "150.9 kW", "4th"),
                run("before", "150.4 kW", "4th"),
                run("after", "154.6 kW", "4th"),
                run("after", "155.1 kW", "4th"),
                run("after", "154.4 kW", "4th")));
        Map<String, Object> request =
                new HashMap<>(Map.of("changed", "manifold; plugs", "runs", runs, "worth", "2 kW"));
        GaugeAnswer answer = new PowerCompareGauge().answer(GaugeRequest.of(request));
        assertThat(answer.text("verdict"))
                .startsWith("real: +4.2 kW")
                .endsWith("2 things were changed at once, so nothing tells which of them it was");
        runs.add(run("after", "149 kW", "3rd"));
        assertThatThrownBy(() -> new PowerCompareGauge().answer(GaugeRequest.of(request)))
                .isInstanceOf(WrongRequest.class)
                .hasMessageContaining("unlike runs are not compared");
    }
}
