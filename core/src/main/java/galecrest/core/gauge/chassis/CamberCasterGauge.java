package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.ANGLE;
import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.NUMBER;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.List;
import java.util.Locale;

/** Camber from an offset over the rim, caster from a sweep, and how much of an adjuster brings an angle to its target. */
public final class CamberCasterGauge implements Gauge {
    private static final double STEEPEST = Math.toRadians(20);
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
    public GaugeAnswer answer(GaugeRequest request) {
        GaugeAnswer answer = new GaugeAnswer(request.system());
        boolean any = request.has("offset") || request.has("sweep") || request.has("readings");
        if (!any) {
            request.wrong("offset", "is needed, or a sweep for caster, or two readings of an adjuster.");
        }
        double offset = request.quantityOr("offset", LENGTH, Double.NaN, -0.3, 0.3);
        double over = request.has("offset") ? request.quantity("over", LENGTH, 0.1, 1) : Double.NaN;
        if (Math.abs(offset) > over * Math.sin(STEEPEST)) {
            request.wrong("offset", "is more than 20° of camber over that height: which points were measured?");
        }
        Sweep sweep = request.has("sweep") ? sweep(request.part("sweep")) : null;
        GaugeRequest two = request.part("readings");
        double[] turned = new double[] {Double.NaN};
        if (request.has("readings")) {
            turned[0] = adjuster(two);
        }
        request.done();
        if (!Double.isNaN(offset)) {
            answer.put("camber", ANGLE, camber(offset, over));
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
