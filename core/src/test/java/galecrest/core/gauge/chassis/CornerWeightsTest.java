package galecrest.core.gauge.chassis;

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
import org.apache.commons.math3.linear.Array2DRowRealMatrix;
import org.apache.commons.math3.linear.ArrayRealVector;
import org.apache.commons.math3.linear.LUDecomposition;
import org.apache.commons.math3.linear.RealVector;
import org.junit.jupiter.api.Test;

/** Corner weights: the shares, the equilibrium against a static model of its own, and the turns. */
class CornerWeightsTest {
    private static final double INFINITE = Double.POSITIVE_INFINITY;
    private static final double GRAVITY = 9.80665;

    private static SpringPlatform square(double... wheel) {
        double[] tyres = {INFINITE, INFINITE, INFINITE, INFINITE};
        return SpringPlatform.of(2.5, 1.5, 1.5, wheel, tyres, 0, 0);
    }

    /** On a square car a perch raised by h at the wheel warps each load by h / Σ(1/k): 10 mm, 40 N/mm → 100 N. */
    @Test
    void raisingOnePerchWarpsASquareCar() {
        SpringPlatform.Change alike = square(40_000, 40_000, 40_000, 40_000).raised(new double[] {0.01, 0, 0, 0});
        assertThat(alike.load()).containsExactly(new double[] {100, -100, -100, 100}, within(1e-6));
        SpringPlatform.Change unlike = square(35_000, 35_000, 50_000, 50_000).raised(new double[] {0.01, 0, 0, 0});
        assertThat(unlike.load())
                .containsExactly(new double[] {102.9412, -102.9412, -102.9412, 102.9412}, within(1e-4));
        double h = 0.01;
        double formula = h / (2 / 35_000.0 + 2 / 50_000.0);
        assertThat(unlike.load()[0]).isCloseTo(formula, within(1e-9));
    }

    /** A mass over an axle in the middle of the car is borne by that axle, half a side (law of the lever). */
    @Test
    void massIsSharedByTheLawOfTheLever() {
        SpringPlatform.Change change = square(30_000, 30_000, 50_000, 50_000).loaded(80, 1.0, 0);
        double force = 80 * GRAVITY;
        assertThat(change.load()[0] + change.load()[1]).isCloseTo(force * 1.5 / 2.5, within(1e-6));
        assertThat(change.load()[2]).isCloseTo(change.load()[3], within(1e-6));
        assertThat(Arrays.stream(change.load()).sum()).isCloseTo(force, within(1e-6));
    }

    /**
     * The same by forces and moments instead of energy, in three dimensions, solved by another library: eleven unknowns,
     * namely four pad forces, four wheel heights, and heave, pitch and roll of the body.
     */
    @Test
    void aThousandRandomCarsAgreeWithAStaticModel() {
        Random random = new Random(20261130);
        for (int n = 0; n < 1000; n++) {
            double[] wheel = random.doubles(4, 15_000, 120_000).toArray();
            double[] tyre = random.doubles(4, 120_000, 400_000).toArray();
            double wheelbase = 2 + random.nextDouble();
            double front = 1.2 + 0.6 * random.nextDouble();
            double rear = 1.2 + 0.6 * random.nextDouble();
            double frontBar = random.nextBoolean() ? 0 : 40_000 * random.nextDouble();
            double rearBar = random.nextBoolean() ? 0 : 40_000 * random.nextDouble();
            double[] raised = random.doubles(4, -0.02, 0.02).toArray();
            SpringPlatform car = SpringPlatform.of(wheelbase, front, rear, wheel, tyre, frontBar, rearBar);
            SpringPlatform.Change change = car.raised(raised);
            RealVector still = statics(car, raised);
            for (int i = 0; i < 4; i++) {
                assertThat(change.load()[i]).isCloseTo(still.getEntry(i), within(1e-5));
                double height = still.getEntry(8) + still.getEntry(9) * car.x()[i] + still.getEntry(10) * car.y()[i];
                assertThat(change.height()[i]).isCloseTo(height, within(1e-9));
            }
        }
    }

    private static RealVector statics(SpringPlatform car, double[] raised) {
        double[][] m = new double[11][11];
        double[] right = new double[11];
        for (int i = 0; i < 4; i++) {
            // Each tyre: force = −rate × height of the wheel.
            m[i][i] = 1;
            m[i][4 + i] = car.tyre()[i];
            // Each wheel: what the pad bears is what spring and bar press down with.
            m[4 + i][i] = 1;
            m[4 + i][4 + i] = -car.wheel()[i];
            m[4 + i][8] = car.wheel()[i];
            m[4 + i][9] = car.wheel()[i] * car.x()[i];
            m[4 + i][10] = car.wheel()[i] * car.y()[i];
            right[4 + i] = car.wheel()[i] * raised[i];
            int other = i ^ 1;
            double bar = i < 2 ? car.frontBar() : car.rearBar();
            m[4 + i][4 + i] -= bar;
            m[4 + i][4 + other] += bar;
            m[4 + i][10] += bar * (car.y()[i] - car.y()[other]);
            // The whole car: forces and both moments.
            m[8][i] = 1;
            m[9][i] = car.x()[i];
            m[10][i] = car.y()[i];
        }
        return new LUDecomposition(new Array2DRowRealMatrix(m)).getSolver().solve(new ArrayRealVector(right));
    }

    /** A car on the flat patch: 1066 kg, cross 48.1 %; 2 mm a turn, 40 N/mm: 1¼ turns shift 10.2 kg at each wheel. */
    @Test
    void quarterTurnsBringTheCrossToItsTarget() {
        CornerWeights now = new CornerWeights(291.5, 268.0, 244.5, 262.0);
        assertThat(now.total()).isEqualTo(1066.0);
        assertThat(100 * now.front()).isCloseTo(52.5, within(0.05));
        assertThat(100 * now.left()).isCloseTo(50.3, within(0.05));
        assertThat(100 * now.cross()).isCloseTo(48.1, within(0.05));
        assertThat(100 * now.otherCross()).isCloseTo(51.9, within(0.05));
        PerchSolver solver =
                new PerchSolver(now, square(40_000, 40_000, 40_000, 40_000), new double[] {1, 1, 1, 1}, new double[] {
                    0.002, 0.002, 0.002, 0.002
                });
        PerchSolver.Solution found = solver.quarters(0.5, 0.003).orElseThrow();
        assertThat(found.turns()).containsExactly(-1.25, 1.25, 1.25, -1.25);
        assertThat(found.then().pads()).containsExactly(new double[] {281.3, 278.2, 254.7, 251.8}, within(0.06));
        assertThat(found.mostHeight()).isLessThan(1e-9);
        // Turned one perch after the other, each from where the one before left it, the pads come to the same.
        CornerWeights step = now;
        for (int i = 0; i < 4; i++) {
            double[] one = new double[4];
            one[i] = found.turns()[i];
            step = new PerchSolver(
                            step, square(40_000, 40_000, 40_000, 40_000), new double[] {1, 1, 1, 1}, new double[] {
                                0.002, 0.002, 0.002, 0.002
                            })
                    .after(one)
                    .then();
        }
        assertThat(step.pads()).containsExactly(found.then().pads(), within(1e-6));
    }

    /** On random cars with yielding tyres and hooked bars the exact turns reach the target and move the body not at all. */
    @Test
    void exactTurnsShiftTheLoadsAndLeaveTheBody() {
        Random random = new Random(7);
        for (int n = 0; n < 200; n++) {
            double[] wheel = random.doubles(4, 15_000, 120_000).toArray();
            double[] tyre = random.doubles(4, 120_000, 400_000).toArray();
            SpringPlatform car = SpringPlatform.of(
                    2.5, 1.3 + 0.3 * random.nextDouble(), 1.45, wheel, tyre, 20_000 * random.nextDouble(), 9_000);
            CornerWeights now = CornerWeights.of(random.doubles(4, 180, 330).toArray());
            double[] ratio = random.doubles(4, 0.6, 1.1).toArray();
            double[] pitch = random.doubles(4, 0.001, 0.003).toArray();
            PerchSolver solver = new PerchSolver(now, car, ratio, pitch);
            PerchSolver.Solution exact = solver.after(solver.exact(0.5));
            assertThat(exact.then().cross()).isCloseTo(0.5, within(1e-9));
            assertThat(exact.mostHeight()).isLessThan(1e-9);
            assertThat(exact.then().front()).isCloseTo(now.front(), within(1e-9));
            // The centre of mass stays; the share of the left only does where both tracks are alike.
            assertThat(across(exact.then(), car)).isCloseTo(across(now, car), within(1e-6));
            solver.quarters(0.5, 0.003).ifPresent(found -> {
                assertThat(found.then().cross()).isBetween(0.497, 0.503);
                assertThat(Arrays.stream(found.turns())).allMatch(t -> 4 * t == Math.rint(4 * t));
            });
        }
    }

    private static double across(CornerWeights weights, SpringPlatform car) {
        double moment = 0;
        for (int i = 0; i < 4; i++) {
            moment += weights.pads()[i] * car.y()[i];
        }
        return moment;
    }

    private static Map<String, Object> request() {
        return new HashMap<>(Map.of(
                "pads", List.of("291.5", "268 kg", "244.5", 262),
                "target", "50 %",
                "wheelbase", "2500",
                "front track", "1500 mm",
                "wheel rate", "40 N/mm",
                "pitch", "2 mm"));
    }

    private static GaugeAnswer ask(Map<String, Object> request) {
        return new CornerWeightsGauge().answer(GaugeRequest.of(request));
    }

    @Test
    void theGaugeSaysWhatToTurn() {
        GaugeAnswer answer = ask(request());
        assertThat(answer.value("cross")).isCloseTo(48.1, within(0.05));
        assertThat(answer.values().get("turns").toString()).contains("left front=Figure[value=-1.25, unit=turns");
        assertThat(answer.values().get("advice").toString()).contains("50.0 %").contains("on average");
        assertThat(answer.values().get("verdict").toString()).contains("too low");
    }

    /** 30 L of fuel in the tank over the rear axle: taken out, they are taken from the rear pads. */
    @Test
    void fuelIsTakenOut() {
        Map<String, Object> request = request();
        request.put("correct", List.of(Map.of("what", "fuel", "volume", "30 L", "x", "2500 mm", "take out", true)));
        GaugeAnswer answer = ask(request);
        assertThat(answer.value("total")).isCloseTo(1066 - 30 * 0.745, within(1e-6));
        assertThat(answer.value("front")).isCloseTo(100 * 559.5 / (1066 - 30 * 0.745), within(1e-4));
    }

    private static void refused(Map<String, Object> change, String field, String why) {
        Map<String, Object> request = request();
        request.putAll(change);
        assertThatThrownBy(() -> ask(request))
                .isInstanceOfSatisfying(WrongRequest.class, wrong -> assertThat(wrong.problems())
                        .anySatisfy(p -> {
                            assertThat(p.field()).isEqualTo(field);
                            assertThat(p.message()).contains(why);
                        }));
    }

    @Test
    void badInputIsRefusedAtItsField() {
        refused(Map.of("pads", List.of("-3 kg", 268, 244.5, 262)), "pads[0]", "out of range");
        refused(Map.of("pads", List.of(291.5, 268, 244.5)), "pads", "are four");
        refused(Map.of("pads", List.of("40 psi", 268, 244.5, 262)), "pads[0]", "is a pressure");
        refused(Map.of("known mass", "2132 kg"), "pads", "Is a pad silent");
        refused(Map.of("wheel rate", "0 N/mm"), "wheel rate", "out of range");
        refused(Map.of("wheel rate", "40 furlongs"), "wheel rate", "no unit of a stiffness");
        refused(Map.of("weels", 4), "weels", "is not asked for");
        refused(Map.of("target", "90 %"), "target", "30 % to 70 %");
        Map<String, Object> bare = request();
        bare.keySet().removeAll(List.of("wheelbase", "front track", "wheel rate", "pitch"));
        assertThatThrownBy(() -> ask(bare)).hasMessageContaining("wheelbase: is needed for turns");
    }
}
