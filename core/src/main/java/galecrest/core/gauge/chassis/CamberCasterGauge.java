package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.ANGLE;
import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.NUMBER;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/** Camber from an offset over the rim, caster from a sweep, and how much of an adjuster brings an angle to its target. */
public final class CamberCasterGauge implements Gauge {
    private static final double STEEPEST = Math.toRadians(20);
    /** A tenth of a degree is what a camber gauge on the floor repeats: common practice. */
    private static final double TOLERANCE = Math.toRadians(0.1);

    private static final double SWEEP = Math.toRadians(20);

    @Override
    public String name() {
        return "camber-caster";
    }

    @Override
    public String title() {
        return "Camber and caster";
    }

    /**
     * Camber of a wheel of which the top is so much further in than the bottom; negative then.
     *
     * @param offset top further in than bottom, m
     * @param over height between both points, m
     */
    public static double camber(double offset, double over) {
        return -Math.asin(offset / over);
    }

    /**
     * Caster from the camber at two steering angles, in the small angles in which wheels are set: (C₁ − C₂) / (2 sin δ). At
     * 20° that is 1.4619 times the difference. Signs as in SAE J670: positive caster leans the steering axis back, and
     * steering a wheel out then leans its top out.
     *
     * @param steeredOut camber with the front of the wheel steered out, away from the car, by the sweep, rad
     * @param steeredIn camber with it steered in, rad
     */
    public static double caster(double steeredOut, double steeredIn, double sweep) {
        return (steeredOut - steeredIn) / (2 * Math.sin(sweep));
    }

    /** So much more of an adjuster, if two readings say what it does: linear between and near them. */
    public static double more(double first, double firstAt, double second, double secondAt, double target) {
        return (target - second) * (secondAt - firstAt) / (second - first);
    }

    @Override
    public String headline(GaugeAnswer answer) {
        if (!(answer.values().get("camber") instanceof Map<?, ?> wheels)) {
            return Gauge.super.headline(answer);
        }
        return Corner.NAMES.stream()
                .map(c -> ((GaugeAnswer.Figure) wheels.get(c)).said())
                .collect(Collectors.joining(" / "));
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.corners("camber", ANGLE).hint("as a camber gauge reads it, like -2.4°"),
                GaugeField.quantity("front target", ANGLE).ofTheCar().called("Wanted camber, front"),
                GaugeField.quantity("rear target", ANGLE).ofTheCar().called("Wanted camber, rear"),
                GaugeField.quantity("tolerance", ANGLE).ofTheCar(),
                GaugeField.quantity("offset", LENGTH).hint("top of the wheel further in than the bottom"),
                GaugeField.quantity("over", LENGTH).called("Over a height of"),
                GaugeField.part(
                                "sweep",
                                GaugeField.quantity("steered out", ANGLE).must(),
                                GaugeField.quantity("steered in", ANGLE).must(),
                                GaugeField.quantity("angle", ANGLE).hint("of steer, 20° if not said"))
                        .called("Caster: camber with the wheel steered"),
                GaugeField.part(
                                "readings",
                                GaugeField.quantity("first", ANGLE).must(),
                                GaugeField.quantity("first at", NUMBER).must(),
                                GaugeField.quantity("second", ANGLE).must(),
                                GaugeField.quantity("second at", NUMBER).must(),
                                GaugeField.quantity("target", ANGLE).must())
                        .called("Adjuster: two readings, at turns or shims"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        GaugeAnswer answer = new GaugeAnswer(request.system());
        boolean any = request.has("camber") || request.has("offset") || request.has("sweep") || request.has("readings");
        if (!any) {
            request.wrong(
                    "offset",
                    "is needed, or the camber of all four wheels, or a sweep for caster, or two readings of an adjuster.");
        }
        double offset = request.quantityOr("offset", LENGTH, Double.NaN, -0.3, 0.3);
        double over = request.has("offset") ? request.quantity("over", LENGTH, 0.1, 1) : Double.NaN;
        if (Math.abs(offset) > over * Math.sin(STEEPEST)) {
            request.wrong("offset", "is more than 20° of camber over that height: which points were measured?");
        }
        double[] read = CornerFields.fourOr(request, "camber", ANGLE, Double.NaN, -STEEPEST, STEEPEST);
        double[] wanted = {
            request.quantityOr("front target", ANGLE, Double.NaN, -STEEPEST, STEEPEST),
            request.quantityOr("rear target", ANGLE, Double.NaN, -STEEPEST, STEEPEST)
        };
        double tolerance = request.quantityOr("tolerance", ANGLE, TOLERANCE, 0, STEEPEST);
        Sweep sweep = request.has("sweep") ? sweep(request.part("sweep")) : null;
        GaugeRequest two = request.part("readings");
        double[] turned = new double[] {Double.NaN};
        if (request.has("readings")) {
            turned[0] = adjuster(two);
        }
        request.done();
        wheels(answer, read, wanted, tolerance);
        if (!Double.isNaN(offset)) {
            answer.put(request.has("camber") ? "camber by the offset" : "camber", ANGLE, camber(offset, over));
        }
        if (sweep != null) {
            answer.put("caster", ANGLE, caster(sweep.out(), sweep.in(), sweep.angle()))
                    .put("factor", NUMBER, 1 / (2 * Math.sin(sweep.angle())));
        }
        if (!Double.isNaN(turned[0])) {
            answer.put("more", NUMBER, turned[0])
                    .put(
                            "advice",
                            String.format(
                                    Locale.ROOT,
                                    "%s %.2f more of the adjuster, then measure again; toe moves with it unless the shims are"
                                            + " of the kind that leaves it.",
                                    turned[0] < 0 ? "Take out" : "Put in",
                                    Math.abs(turned[0])));
        }
        return answer.put(
                "before",
                List.of(
                        "Ride height and pressures set first, driver or ballast in, the wheel's run-out halved by turning it.",
                        "Before anyone goes under: stands, not the jack."));
    }

    private static void wheels(GaugeAnswer answer, double[] read, double[] wanted, double tolerance) {
        if (Double.isNaN(read[0])) {
            return;
        }
        List<String> off = new ArrayList<>();
        for (int i = 0; i < read.length; i++) {
            double more = read[i] - wanted[i / 2];
            if (Math.abs(more) > tolerance + 1e-9) {
                off.add(Corner.NAMES.get(i) + " is " + QuantityText.say(ANGLE, Math.abs(more), answer.system())
                        + (more > 0 ? " too upright" : " too far in at the top"));
            }
        }
        answer.put("camber", ANGLE, Corner.NAMES, read)
                .put("left less right, front", ANGLE, read[0] - read[1])
                .put("left less right, rear", ANGLE, read[2] - read[3]);
        if (!Double.isNaN(wanted[0]) || !Double.isNaN(wanted[1])) {
            answer.put("good", off.isEmpty()).put("verdict", off.isEmpty() ? List.of("All as wanted.") : off);
        }
    }

    private record Sweep(double in, double out, double angle) {}

    private static Sweep sweep(GaugeRequest sweep) {
        return new Sweep(
                sweep.quantity("steered in", ANGLE, -STEEPEST, STEEPEST),
                sweep.quantity("steered out", ANGLE, -STEEPEST, STEEPEST),
                sweep.quantityOr("angle", ANGLE, SWEEP, Math.toRadians(5), Math.toRadians(40)));
    }

    /** The change of the adjuster, in whatever it is counted: turns, holes, millimetres of shim. */
    private static double adjuster(GaugeRequest two) {
        double first = two.quantity("first", ANGLE, -STEEPEST, STEEPEST);
        double firstAt = two.number("first at", -1000, 1000);
        double second = two.quantity("second", ANGLE, -STEEPEST, STEEPEST);
        double secondAt = two.number("second at", -1000, 1000);
        double target = two.quantity("target", ANGLE, -STEEPEST, STEEPEST);
        if (first == second || firstAt == secondAt) {
            two.wrong(
                    "second",
                    "must differ from the first, the angle (" + QuantityText.say(ANGLE, first, two.system())
                            + ") and the adjuster: else they do not say what it does.");
        }
        return more(first, firstAt, second, secondAt, target);
    }
}
