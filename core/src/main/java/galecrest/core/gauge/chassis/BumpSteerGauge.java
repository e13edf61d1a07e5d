package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.ANGLE;
import static galecrest.core.units.QuantityKind.LENGTH;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Bump steer of one wheel: toe over its travel, the straight part of it and the curve (least squares of a parabola), and
 * what each asks for. That the straight part is the height of one end of the rod and the curve its length is common
 * practice.
 */
public final class BumpSteerGauge implements Gauge {
    private static final int FEWEST = 3;

    @Override
    public String name() {
        return "bump-steer";
    }

    @Override
    public String title() {
        return "Bump steer";
    }

    /**
     * The parabola a + b·t + c·t² that is nearest to the readings.
     *
     * @param at travel of each reading, m
     * @param toe at it, rad
     * @return a, b (rad/m) and c (rad/m²)
     */
    public static double[] parabola(double[] at, double[] toe) {
        // In units of the largest travel, so that the normal equations are well conditioned.
        double unit = Arrays.stream(at).map(Math::abs).max().orElse(1);
        double[] sums = new double[5];
        double[] right = new double[3];
        for (int i = 0; i < at.length; i++) {
            double power = 1;
            for (int p = 0; p < sums.length; p++) {
                sums[p] += power;
                if (p < right.length) {
                    right[p] += power * toe[i];
                }
                power *= at[i] / unit;
            }
        }
        double[][] m = {{sums[0], sums[1], sums[2]}, {sums[1], sums[2], sums[3]}, {sums[2], sums[3], sums[4]}};
        double all = determinant(m);
        double[] found = new double[3];
        for (int c = 0; c < 3; c++) {
            double[][] with = {m[0].clone(), m[1].clone(), m[2].clone()};
            for (int r = 0; r < 3; r++) {
                with[r][c] = right[r];
            }
            found[c] = determinant(with) / all;
        }
        return new double[] {found[0], found[1] / unit, found[2] / (unit * unit)};
    }

    private static double determinant(double[][] m) {
        return m[0][0] * (m[1][1] * m[2][2] - m[1][2] * m[2][1])
                - m[0][1] * (m[1][0] * m[2][2] - m[1][2] * m[2][0])
                + m[0][2] * (m[1][0] * m[2][1] - m[1][1] * m[2][0]);
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.rows(
                                "readings",
                                GaugeField.quantity("travel", LENGTH).must().hint("bump is positive"),
                                GaugeField.quantity("toe", ANGLE).must().hint("in is positive"))
                        .must(),
                GaugeField.quantity("tolerance", ANGLE).ofTheCar());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        List<GaugeRequest> rows = request.rows("readings");
        double[] travel = new double[rows.size()];
        double[] toe = new double[rows.size()];
        for (int i = 0; i < travel.length; i++) {
            travel[i] = rows.get(i).quantity("travel", LENGTH, -0.4, 0.4);
            toe[i] = rows.get(i).quantity("toe", ANGLE, -0.2, 0.2);
        }
        double most = request.quantityOr("tolerance", ANGLE, Math.toRadians(0.05), 0, 0.2);
        if (Arrays.stream(travel).distinct().count() < FEWEST) {
            request.wrong("readings", "are at least " + FEWEST + ", each at another travel, bump and droop.");
        }
        request.done();
        double[] p = parabola(travel, toe);
        double least = Arrays.stream(toe).min().orElse(0);
        double largest = Arrays.stream(toe).max().orElse(0);
        double reach = Arrays.stream(travel).map(Math::abs).max().orElse(0);
        double straight = Math.abs(p[1]) * reach;
        double curve = Math.abs(p[2]) * reach * reach;
        List<String> advice = new ArrayList<>();
        if (largest - least <= most) {
            advice.add("Within tolerance over the whole travel.");
        } else if (straight >= curve) {
            advice.add(
                    "Mostly a straight change: one end of the rod is too high or too low. Shim it and measure again.");
        } else {
            advice.add(
                    "Mostly a curve, the same way in bump and in droop: the rod is too long or too short for its arc.");
        }
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> said = new ArrayList<>();
        for (int i = 0; i < travel.length; i++) {
            said.add(answer.row().put("travel", LENGTH, travel[i]).put("toe", ANGLE, toe[i]));
        }
        return answer.put("change of toe", ANGLE, largest - least)
                .put("good", largest - least <= most)
                .put("a centimetre of bump", ANGLE, p[1] * 0.01)
                .put("straight part", ANGLE, straight)
                .put("curve", ANGLE, curve)
                .rows("readings", said)
                .put("advice", advice)
                .put(
                        "before",
                        List.of(
                                "Spring out or slack, bar unhooked, car safely on stands; camber and caster set first."));
    }
}
