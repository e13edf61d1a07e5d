package galecrest.core.gauge.chassis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.apache.commons.math3.fitting.PolynomialCurveFitter;
import org.apache.commons.math3.fitting.WeightedObservedPoints;
import org.apache.commons.math3.geometry.euclidean.threed.Rotation;
import org.apache.commons.math3.geometry.euclidean.threed.RotationConvention;
import org.apache.commons.math3.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** Strings, camber, caster, bump steer, heights. */
class AlignmentTest {
    /** 2.0 mm over a rim of 17 in: asin(2/431.8) = 0.2654° (trigonometry). */
    @Test
    void toeIsTheArcSineOfTheDifferenceOverTheRim() {
        StringAlignment strings = new StringAlignment(
                new double[] {0.102, 0.1, 0.1, 0.1},
                new double[] {0.1, 0.1, 0.1, 0.1},
                new double[] {0.4318, 0.4318, 0.4318, 0.4318});
        assertThat(Math.toDegrees(strings.toe(0))).isCloseTo(0.2654, within(5e-5));
        assertThat(StringsGauge.degrees(strings.toe(0))).isEqualTo("0° 16′ in");
        assertThat(StringsGauge.degrees(-strings.toe(0))).isEqualTo("0° 16′ out");
    }

    /**
     * A car drawn on the floor with its toes, and strings at any angle beside it: what the distances to the strings say must
     * be the toes that it was drawn with.
     */
    @Test
    void stringsThatAreNotParallelAreTakenOut() {
        Random random = new Random(3);
        for (int n = 0; n < 500; n++) {
            double wheelbase = 2.3 + random.nextDouble();
            double[] track = {1.3 + 0.3 * random.nextDouble(), 1.3 + 0.3 * random.nextDouble()};
            double rim = 0.38 + 0.1 * random.nextDouble();
            double[] toe = random.doubles(4, -0.02, 0.02).toArray();
            // Each string as a line y = at + slope · x, x to the rear from the front axle.
            double[] at = {track[0] / 2 + 0.2 + 0.05 * random.nextDouble(), -track[0] / 2 - 0.2};
            double[] slope = random.doubles(2, -0.01, 0.01).toArray();
            double[] front = new double[4];
            double[] rear = new double[4];
            for (int i = 0; i < 4; i++) {
                int side = i % 2 == 0 ? 1 : -1;
                Vector3D hub = new Vector3D(i < 2 ? 0 : wheelbase, side * track[i / 2] / 2, 0);
                // Toe-in turns the front of the wheel towards the middle.
                Vector3D along = new Vector3D(-Math.cos(toe[i]), -side * Math.sin(toe[i]), 0);
                front[i] = distance(hub.add(rim / 2, along), at[i % 2], slope[i % 2], side);
                rear[i] = distance(hub.add(-rim / 2, along), at[i % 2], slope[i % 2], side);
            }
            StringAlignment strings = new StringAlignment(front, rear, new double[] {rim, rim, rim, rim});
            double[] found = strings.toes(strings.stringAngles(wheelbase, track[0], track[1]));
            assertThat(found).containsExactly(toe, within(2e-5));
            assertThat(StringAlignment.thrust(found)).isCloseTo((toe[2] - toe[3]) / 2, within(2e-5));
        }
    }

    /** Measured at right angles to the string. */
    private static double distance(Vector3D point, double at, double slope, int side) {
        return side * (at + slope * point.getX() - point.getY()) / Math.hypot(1, slope);
    }

    private static Map<String, Object> strings() {
        Map<String, Object> request = new HashMap<>();
        request.put("rim", "17 in");
        request.put("left front", Map.of("front", "102 mm", "rear", "100 mm"));
        request.put("right front", Map.of("front", "101 mm", "rear", "100 mm"));
        request.put("left rear", Map.of("front", "100 mm", "rear", "100 mm"));
        request.put("right rear", Map.of("front", "100 mm", "rear", "100 mm"));
        return request;
    }

    @Test
    void theGaugeSaysToeInEveryWay() {
        Map<String, Object> request = strings();
        request.put("front target", "0°");
        GaugeAnswer answer = new StringsGauge().answer(GaugeRequest.of(request));
        assertThat(answer.values().get("axles").toString())
                .contains("0° 24′ in")
                .contains("3 mm");
        assertThat(answer.values().get("verdict").toString()).contains("less toe-in");
        request.put("left front", Map.of("front", "160 mm", "rear", "100 mm"));
        assertThatThrownBy(() -> new StringsGauge().answer(GaugeRequest.of(request)))
                .isInstanceOf(WrongRequest.class)
                .hasMessageContaining("left front.front")
                .hasMessageContaining("cross the rim");
    }

    /** 1/(2 sin 20°) = 1.4619; and against a wheel turned about a leaning axis in space (Rodrigues' rotation). */
    @Test
    void casterFromASweepIsThatOfTheSteeringAxis() {
        assertThat(CamberCasterGauge.caster(1, 0, Math.toRadians(20))).isCloseTo(1.4619, within(5e-5));
        for (double caster = 1; caster <= 8; caster += 0.5) {
            double lean = Math.toRadians(caster);
            // x forward, y left, z up: the left wheel's spindle points left, the top of the axis leans back.
            Vector3D axis = new Vector3D(-Math.sin(lean), 0, Math.cos(lean));
            double out = camber(axis, Math.toRadians(20));
            double in = camber(axis, Math.toRadians(-20));
            double found = CamberCasterGauge.caster(out, in, Math.toRadians(20));
            assertThat(Math.toDegrees(found)).isCloseTo(caster, within(0.03));
        }
    }

    private static double camber(Vector3D axis, double steeredLeft) {
        Vector3D spindle =
                new Rotation(axis, steeredLeft, RotationConvention.VECTOR_OPERATOR).applyTo(new Vector3D(0, 1, 0));
        return -Math.asin(spindle.getZ());
    }

    @Test
    void camberAndTheTurnsToIt() {
        GaugeAnswer answer = new CamberCasterGauge()
                .answer(GaugeRequest.of(Map.of(
                        "offset",
                        "18.8 mm",
                        "over",
                        "431.8 mm",
                        "readings",
                        Map.of(
                                "first",
                                "-1.5°",
                                "first at",
                                0,
                                "second",
                                "-2.1°",
                                "second at",
                                3,
                                "target",
                                "-2.5°"))));
        assertThat(answer.value("camber")).isCloseTo(-2.495, within(0.001));
        assertThat(answer.value("more")).isCloseTo(2, within(1e-6));
        assertThatThrownBy(() -> new CamberCasterGauge()
                        .answer(GaugeRequest.of(Map.of(
                                "readings",
                                Map.of(
                                        "first",
                                        "-1.5°",
                                        "first at",
                                        0,
                                        "second",
                                        "-1.5°",
                                        "second at",
                                        3,
                                        "target",
                                        "-2.5°")))))
                .hasMessageContaining("readings.second");
    }

    /** Against the least squares of another library. */
    @Test
    void bumpSteerIsTheNearestParabola() {
        Random random = new Random(5);
        for (int n = 0; n < 100; n++) {
            double[] at = random.doubles(9, -0.08, 0.08).toArray();
            double[] toe = random.doubles(9, -0.01, 0.01).toArray();
            WeightedObservedPoints points = new WeightedObservedPoints();
            for (int i = 0; i < at.length; i++) {
                points.add(at[i], toe[i]);
            }
            double[] theirs = PolynomialCurveFitter.create(2).fit(points.toList());
            double[] ours = BumpSteerGauge.parabola(at, toe);
            for (int i = 0; i < 3; i++) {
                assertThat(ours[i]).isCloseTo(theirs[i], within(1e-7 * Math.max(1, Math.abs(theirs[i]))));
            }
        }
    }

    @Test
    void bumpSteerSaysWhichEndToMove() {
        List<Map<String, Object>> straight = List.of(
                Map.of("travel", "-50 mm", "toe", "-0.3°"),
                Map.of("travel", "0 mm", "toe", "0°"),
                Map.of("travel", "50 mm", "toe", "0.3°"));
        GaugeAnswer answer = new BumpSteerGauge().answer(GaugeRequest.of(Map.of("readings", straight)));
        assertThat(answer.value("change of toe")).isCloseTo(0.6, within(1e-9));
        assertThat(answer.value("a centimetre of bump")).isCloseTo(0.06, within(1e-9));
        assertThat(answer.values().get("advice").toString()).contains("too high or too low");
        List<Map<String, Object>> curved = List.of(
                Map.of("travel", "-50 mm", "toe", "0.3°"),
                Map.of("travel", "0 mm", "toe", "0°"),
                Map.of("travel", "50 mm", "toe", "0.3°"));
        assertThat(new BumpSteerGauge()
                        .answer(GaugeRequest.of(Map.of("readings", curved)))
                        .values()
                        .get("advice")
                        .toString())
                .contains("too long or too short");
    }

    /** Rake of 20 mm over 2.4 m: atan(20/2400) = 0.4775°; a spring of 60 N/mm held 10 mm short presses 600 N (Hooke). */
    @Test
    void heightsRakeSpacerAndPreload() {
        GaugeAnswer answer = new HeightsGauge()
                .answer(GaugeRequest.of(Map.of(
                        "heights",
                        List.of(118, 118, 138, 138),
                        "before",
                        List.of(120, 120, 139, 139),
                        "marks apart",
                        "2400 mm",
                        "spacer",
                        "10 mm",
                        "motion ratio",
                        "0.8",
                        "spring",
                        Map.of("rate", "60 N/mm", "free length", "200 mm", "length at droop", "190 mm"),
                        "clearances",
                        List.of("62 mm", "48 mm"),
                        "least clearance",
                        "50 mm")));
        assertThat(answer.value("rake")).isCloseTo(0.4775, within(5e-5));
        assertThat(answer.value("spacer raises")).isCloseTo(12.5, within(1e-9));
        assertThat(answer.value("preload force")).isCloseTo(600, within(1e-6));
        assertThat(answer.values()).containsEntry("clear", false);
        assertThat(answer.values().get("change").toString()).contains("value=-2.0");
    }

    /**
     * A solid bar of 20 mm, 1 m long, arms of 200 mm, G = 79.3 GPa. By hand: J = π·0.02⁴/32 = 1.5708·10⁻⁸ m⁴, G·J = 1245.6
     * N·m², over L·a² = 0.04 m³: 31.14 N/mm. A bar bored to half its diameter keeps 15/16 of it.
     */
    @Test
    void aSolidBarAndAHollowOne() {
        Map<String, Object> bar = new HashMap<>(Map.of("outside", "20 mm", "length", "1 m", "arm", "200 mm"));
        double solid = new AntiRollBarGauge().answer(GaugeRequest.of(bar)).value("rate at the arms");
        assertThat(solid).isCloseTo(31.14, within(0.01));
        bar.put("inside", "10 mm");
        double hollow = new AntiRollBarGauge().answer(GaugeRequest.of(bar)).value("rate at the arms");
        assertThat(hollow / solid).isCloseTo(15 / 16.0, within(1e-6));
        bar.put("inside", "20 mm");
        assertThatThrownBy(() -> new AntiRollBarGauge().answer(GaugeRequest.of(bar)))
                .hasMessageContaining("less than the outside");
    }

    /** A cantilever of 200 mm, 20 × 4 mm, E = 205 GPa: flat F/δ = 3EI/a³ = 8.2 N/mm, upright 25 times that. */
    @Test
    void aBladeIsABeam() {
        double flat = 1 / AntiRollBarGauge.blade(0.02, 0.004, 0.2, 0, 205e9);
        double upright = 1 / AntiRollBarGauge.blade(0.02, 0.004, 0.2, Math.PI / 2, 205e9);
        assertThat(flat).isCloseTo(3 * 205e9 * (0.02 * Math.pow(0.004, 3) / 12) / 0.008, within(1e-6));
        assertThat(flat).isCloseTo(8200, within(1.0));
        assertThat(upright / flat).isCloseTo(25, within(1e-9));
    }
}
