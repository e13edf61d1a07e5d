package galecrest.core.dyno;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.device.standin.RollingRoadModel;
import galecrest.core.device.standin.RollingRoadModel.Sweep;
import galecrest.core.gauge.power.PowerComparison;
import galecrest.core.gauge.power.PowerComparison.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.apache.commons.math3.analysis.integration.SimpsonIntegrator;
import org.junit.jupiter.api.Test;

class RunComparisonTest {
    private static final double RPM = 1 / 60.0;
    private static final double FROM = 3_000 * RPM;
    private static final double TO = 7_000 * RPM;
    private static final double SCATTER = 0.004;
    private static final int DAYS = 1_000;

    /** Twelve samples a second tell the mean as well as a hundred here: a day of eight runs is read in a few milliseconds. */
    private static Sweep sweep(double gain) {
        return new Sweep(gain, 12, 9, false, RollingRoadModel.Columns.RIGHT);
    }

    /** A day: before, before, … after, after, or where it is in turns: before, after, after, before. */
    private static RunComparison day(
            long seed, int each, double gain, double soak, boolean inTurns, double confidence) {
        RollingRoadModel road = RunFiles.road(SCATTER, soak, seed);
        List<RunComparison.Driven> before = new ArrayList<>();
        List<RunComparison.Driven> after = new ArrayList<>();
        for (int order = 0; order < 2 * each; order++) {
            boolean changed = inTurns ? order % 4 == 1 || order % 4 == 2 : order >= each;
            PowerRun run = RunFiles.run(road.file(sweep(changed ? gain : 0)));
            (changed ? after : before).add(new RunComparison.Driven(run, 1, order + 1));
        }
        return RunComparison.of(before, after, FROM, TO, confidence, 1, Double.NaN);
    }

    /** The mean of the true curve over the range, by Simpson's rule of Commons Math. */
    @Test
    void meanPowerIsThatOfTheTrueCurve() {
        RollingRoadModel exact = new RollingRoadModel(new RollingRoadModel.Engine(205, 0, 0, 0, 0.9), 3);
        PowerRun run = RunFiles.run(exact.file(Sweep.with(4)));
        assertThat(run.mean(FROM, TO)).isCloseTo(mean(exact, 4), within(10.0));
        // It does not begin below 2000 rpm, so nothing is said of less.
        assertThat(run.mean(1_500 * RPM, TO)).isNaN();
    }

    private static double mean(RollingRoadModel road, double gain) {
        return new SimpsonIntegrator().integrate(100_000, rpm -> 1000 * road.truth(rpm, gain), 3_000, 7_000) / 4_000;
    }

    /** However the speed trembles on its way, and whatever the run-out brings: the area is that of the way up. */
    @Property(tries = 200)
    void aTremblingSpeedCountsForNothing(@ForAll long seed) {
        Random random = new Random(seed);
        int size = 400;
        double[] speed = new double[size];
        double[] power = new double[size];
        for (int i = 0; i < size; i++) {
            speed[i] = i < 300 ? 30 + i * 0.3 + 0.8 * random.nextGaussian() : 120 - (i - 300);
            power[i] = 1_000 * speed[i];
        }
        PowerRun run = new PowerRun(Map.of(Channel.ENGINE_SPEED, speed, Channel.POWER, power));
        assertThat(run.mean(50, 110)).isCloseTo(80_000, within(1e-3));
    }

    /** Whoever weighs the bins gets the range. */
    @Test
    void theBinsMakeTheRange() {
        RunComparison day = day(5, 4, 3, 0, false, 0.95);
        assertThat(day.bins()).hasSize(40);
        double mean = day.bins().stream()
                .mapToDouble(b -> b.after() - b.before())
                .average()
                .orElseThrow();
        assertThat(day.range().difference()).isCloseTo(mean, within(1e-6));
    }

    /** A thousand made days without a change, from file to verdict. */
    @Test
    void noChangeIsSeldomCalledReal() {
        int range = 0;
        int anyBin = 0;
        for (long day = 0; day < DAYS; day++) {
            RunComparison made = day(day, 4, 0, 0, false, 0.95);
            range += made.range().verdict() == Verdict.REAL ? 1 : 0;
            anyBin += made.bins().stream().anyMatch(b -> b.compared().verdict() == Verdict.REAL) ? 1 : 0;
        }
        double most = atMost(0.05);
        assertThat((double) range).as("range").isLessThanOrEqualTo(most);
        assertThat((double) anyBin).as("any of the bins").isLessThanOrEqualTo(most);
    }

    /** A change of the size that is said to be found four times in five. */
    @Test
    void aChangeOfTheSaidSizeIsFoundAsOftenAsClaimed() {
        double mean = mean(RunFiles.road(SCATTER, 0, 1), 0);
        double gain = PowerComparison.findable(SCATTER * mean, 4, 4, 0.95, 1) / 1000;
        int found = 0;
        for (long day = 0; day < DAYS; day++) {
            found += day(day, 4, gain, 0, false, 0.95).range().verdict() == Verdict.REAL ? 1 : 0;
        }
        double claimed = DAYS * PowerComparison.POWER;
        double deviation = Math.sqrt(DAYS * PowerComparison.POWER * (1 - PowerComparison.POWER));
        assertThat((double) found).isBetween(claimed - 3 * deviation, claimed + 3 * deviation);
    }

    /**
     * An engine that loses half a per cent a run: driven all before and then all after, the heat would be called a change, and the
     * days say that they drift; driven in turns, it is not.
     */
    @Test
    void heatIsToldFromAChange() {
        int blamed = 0;
        int warned = 0;
        int inTurns = 0;
        for (long day = 0; day < DAYS; day++) {
            RunComparison blocks = day(day, 4, 0, 0.005, false, 0.95);
            blamed += blocks.range().verdict() == Verdict.REAL ? 1 : 0;
            warned += blocks.drift() < 0 ? 1 : 0;
            inTurns += day(day, 4, 0, 0.005, true, 0.95).range().verdict() == Verdict.REAL ? 1 : 0;
        }
        assertThat(blamed).isGreaterThan(DAYS / 2);
        assertThat(warned).isGreaterThan(DAYS / 2);
        assertThat((double) inTurns).isLessThanOrEqualTo(atMost(0.05));
    }

    /** As many as that share of the days, and three deviations of the count. */
    private static double atMost(double share) {
        return DAYS * share + 3 * Math.sqrt(DAYS * share * (1 - share));
    }

    @Test
    void saysWhatIsUnlike() {
        RunConditions run = new RunConditions("Quay", "4th", 260_000, "cross", "98");
        assertThat(run.unlike(run)).isEmpty();
        assertThat(new RunConditions("Quay", "4th", 340_000, "cross", "98").unlike(run))
                .contains("3.4 bar, not 2.6");
        assertThat(new RunConditions("Quay", "3rd", 260_000, "cross", "98").unlike(run))
                .contains("gear 3rd, not 4th");
        assertThat(new RunConditions("Quay", "", Double.NaN, "", "").unlike(run))
                .isEmpty();
    }
}
