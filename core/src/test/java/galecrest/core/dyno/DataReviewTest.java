package galecrest.core.dyno;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.device.standin.RollingRoadModel.Sweep;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class DataReviewTest {
    private static final double RPM = 1 / 60.0;

    /** By hand: ten samples a second, duty from 80 % by 1 % a sample; 85 % is passed at the seventh, 4.0 s before the end. */
    @Test
    void saysWhenALimitWasCrossedAndForHowLong() {
        double[] time = IntStream.range(0, 11).mapToDouble(i -> i * 0.1).toArray();
        double[] speed =
                IntStream.range(0, 11).mapToDouble(i -> (3_000 + 100 * i) * RPM).toArray();
        double[] duty =
                IntStream.range(0, 11).mapToDouble(i -> (80 + i) / 100.0).toArray();
        PowerRun run = new PowerRun(Map.of(
                Channel.TIME, time, Channel.ENGINE_SPEED, speed, Channel.POWER, duty, Channel.INJECTOR_DUTY, duty));
        DataReview.Line line = DataReview.of(run, List.of(new ReviewLimit(Channel.INJECTOR_DUTY, false, 0.8499, 0)))
                .get(0);
        assertThat(line.worst()).isEqualTo(0.9);
        assertThat(line.crossedAt().orElseThrow()).isCloseTo(3_500 * RPM, within(1e-9));
        assertThat(line.seconds()).isCloseTo(0.6, within(1e-9));
    }

    /** A floor that rises with the speed: 0.7 bar at 1000 rpm are 4.2 at 6000. */
    @Test
    void aFloorRisesWithTheSpeed() {
        ReviewLimit oil = ReviewLimit.USUAL.get(0);
        assertThat(oil.at(6_000 * RPM)).isCloseTo(420_000, within(1e-6));
        PowerRun run = new PowerRun(Map.of(
                Channel.ENGINE_SPEED, new double[] {2_000 * RPM, 6_000 * RPM},
                Channel.POWER, new double[] {1, 2},
                Channel.OIL_PRESSURE, new double[] {300_000, 400_000}));
        DataReview.Line line = DataReview.of(run, ReviewLimit.USUAL).get(0);
        assertThat(line.crossedAt().orElseThrow()).isCloseTo(6_000 * RPM, within(1e-9));
        assertThat(line.worst()).isEqualTo(400_000);
    }

    /** The stand-in's injectors are at 91 % at the highest power, and everything else is as it should be. */
    @Test
    void findsTheInjectorsOfTheStandIn() {
        PowerRun run = RunFiles.run(RunFiles.road(0.004, 0, 9).file(Sweep.with(0)));
        assertThat(DataReview.of(run, ReviewLimit.USUAL).stream()
                        .filter(DataReview.Line::crossed)
                        .map(l -> l.limit().channel()))
                .containsExactly(Channel.INJECTOR_DUTY);
    }

    /** Of any column of the picture the extremes and the ends are kept, and no more than four a column. */
    @Property(tries = 100)
    void thinningKeepsThePicture(@ForAll long seed) {
        Random random = new Random(seed);
        int size = 1 + random.nextInt(20_000);
        int columns = 1 + random.nextInt(800);
        double[] x = random.doubles(size).sorted().toArray();
        double[] y = random.doubles(size).map(v -> v < 0.01 ? Double.NaN : v).toArray();
        Thinned thin = Thinned.of(x, y, columns);
        assertThat(thin.x().length).isEqualTo(thin.y().length).isLessThanOrEqualTo(4 * columns);
        assertThat(thin.x()).isSorted();
        double width = (x[size - 1] - x[0]) / columns;
        for (int column = 0; column < columns; column += 1 + columns / 20) {
            double from = x[0] + column * width;
            double to = column == columns - 1 ? Double.POSITIVE_INFINITY : from + width * (1 - 1e-9);
            double inner = column == 0 ? from : from + width * 1e-9;
            assertThat(reach(thin.x(), thin.y(), inner, to)).isEqualTo(reach(x, y, inner, to));
        }
    }

    private static List<Double> reach(double[] x, double[] y, double from, double to) {
        double[] inside = IntStream.range(0, x.length)
                .filter(i -> x[i] >= from && x[i] < to && !Double.isNaN(y[i]))
                .mapToDouble(i -> y[i])
                .toArray();
        return inside.length == 0
                ? List.of()
                : List.of(
                        Arrays.stream(inside).min().orElseThrow(),
                        Arrays.stream(inside).max().orElseThrow());
    }
}
