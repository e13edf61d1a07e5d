package galecrest.core.gauge.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.apache.commons.math3.stat.regression.OLSMultipleLinearRegression;
import org.junit.jupiter.api.Test;

class HeatSoakTest {
    private static double[] times(int count, double step) {
        return IntStream.range(0, count).mapToDouble(i -> i * step).toArray();
    }

    private static double[] rise(
            double[] time, double steady, double begin, double tau, double scatter, Random random) {
        return Arrays.stream(time)
                .map(t -> steady - (steady - begin) * Math.exp(-t / tau) + scatter * random.nextGaussian())
                .toArray();
    }

    /**
     * A second derivation: for a given time constant the curve is a straight line in e^(−t/τ), fitted by ordinary least squares
     * of Commons Math; the best τ is looked for on a fine grid about the one that was found.
     */
    @Property(tries = 60)
    void noOtherCurveIsNearer(@ForAll long seed) {
        Random random = new Random(seed);
        double tau = 60 + random.nextInt(400);
        double[] time = times(60 + random.nextInt(100), 10);
        double[] trace = rise(time, 350 + random.nextInt(60), 290 + random.nextInt(30), tau, 0.5, random);
        HeatSoak soak = HeatSoak.fit(time, trace).orElseThrow();
        double found = squares(time, trace, soak.tau());
        for (int i = -40; i <= 40; i++) {
            assertThat(squares(time, trace, soak.tau() * (1 + i / 200.0))).isGreaterThanOrEqualTo(found - 1e-6);
        }
        double[] line = line(time, trace, soak.tau());
        assertThat(soak.steady()).isCloseTo(line[0], within(1e-3));
        assertThat(soak.begin()).isCloseTo(line[0] + line[1], within(1e-3));
        assertThat(soak.scatter()).isCloseTo(Math.sqrt(found / (time.length - 3)), within(1e-4));
    }

    private static OLSMultipleLinearRegression regression(double[] time, double[] trace, double tau) {
        OLSMultipleLinearRegression ols = new OLSMultipleLinearRegression();
        ols.newSampleData(
                trace,
                Arrays.stream(time)
                        .mapToObj(t -> new double[] {Math.exp(-t / tau)})
                        .toArray(double[][]::new));
        return ols;
    }

    private static double squares(double[] time, double[] trace, double tau) {
        return regression(time, trace, tau).calculateResidualSumOfSquares();
    }

    private static double[] line(double[] time, double[] trace, double tau) {
        return regression(time, trace, tau).estimateRegressionParameters();
    }

    /** Of a thousand made traces, the interval holds the truth in 95 of 100, and three deviations of the count. */
    @Test
    void theIntervalHoldsTheTruthAsOftenAsItSays() {
        Random random = new Random(4);
        double[] time = times(90, 10);
        int steady = 0;
        int tau = 0;
        int end = 0;
        int made = 1_000;
        for (int i = 0; i < made; i++) {
            HeatSoak soak =
                    HeatSoak.fit(time, rise(time, 388, 300, 240, 0.8, random)).orElseThrow();
            steady += Math.abs(soak.steady() - 388) <= soak.steadyError() ? 1 : 0;
            tau += Math.abs(soak.tau() - 240) <= soak.tauError() ? 1 : 0;
            double truth = 388 - 88 * Math.exp(-1200 / 240.0);
            end += Math.abs(soak.at(1200) - truth) <= soak.errorAt(1200) ? 1 : 0;
        }
        double off = 3 * Math.sqrt(made * 0.95 * 0.05);
        for (int held : new int[] {steady, tau, end}) {
            assertThat((double) held).isBetween(made * 0.95 - off, made * 0.95 + off);
        }
    }

    @Test
    void saysWhenALimitIsReached() {
        HeatSoak soak = HeatSoak.fit(times(60, 20), rise(times(60, 20), 400, 300, 300, 0, new Random(1)))
                .orElseThrow();
        // By hand: 400 − 100 e^(−t/300) = 380 at t = 300 ln 5.
        assertThat(soak.reaches(380)).isCloseTo(300 * Math.log(5), within(0.01));
        assertThat(soak.reaches(401)).isInfinite();
        assertThat(soak.reaches(299)).isZero();
        assertThat(HeatSoak.fit(times(3, 1), new double[] {1, 2, 3})).isEmpty();
    }

    private static GaugeAnswer ask(Map<String, Object> fields) {
        return new HeatSoakGauge().answer(GaugeRequest.of(fields));
    }

    private static Map<String, Object> trace(double steady, String which, double air) {
        double[] time = times(60, 20);
        Map<String, Object> fields = new HashMap<>();
        fields.put("times" + which, Arrays.stream(time).mapToObj(t -> t + " s").toList());
        fields.put(
                "temperatures" + which,
                Arrays.stream(rise(time, steady, 40, 250, 0.3, new Random(3)))
                        .mapToObj(t -> t + " °C")
                        .toList());
        fields.put("air" + which, air + " °C");
        return fields;
    }

    /** A warmer day hides what a cooler does, unless each is taken as its rise above its own air. */
    @Test
    void aCoolerIsJudgedByTheRiseAboveTheAir() {
        Map<String, Object> fields = trace(125, "", 15);
        fields.putAll(trace(122, " after", 28));
        fields.put("watch", "120 °C");
        fields.put("stop", "140 °C");
        fields.put("session", "20 min");
        GaugeAnswer answer = ask(fields);
        assertThat(answer.value("less rise, K")).isCloseTo(16, within(0.6));
        assertThat(answer.values().get("real")).isEqualTo(true);
        assertThat(answer.values().get("good")).isEqualTo(false);
        assertThat(answer.text("verdict")).contains("took 16").contains("reaches watch after");
        assertThat(answer.values()).doesNotContainKey("stop reached after");
    }

    @Test
    void saysWhatIsWrong() {
        Map<String, Object> fields = trace(125, "", 15);
        fields.put("temperatures", List.of("20 °C", "30 °C"));
        assertThatThrownBy(() -> ask(fields)).isInstanceOfSatisfying(WrongRequest.class, w -> assertThat(
                        w.problems().get(0).message())
                .contains("one for each"));
        fields.put("times", List.of("0 s", "0 s"));
        assertThatThrownBy(() -> ask(fields)).isInstanceOf(WrongRequest.class);
    }
}
