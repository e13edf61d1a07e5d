package galecrest.core.gauge.driveline;

import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.ROTATION;
import static galecrest.core.units.QuantityKind.SPEED;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Speeds in the gears, what the engine drops to between them, the axle ratio for a top speed, two axle ratios beside. */
public final class GearingGauge implements Gauge {
    private static final double STEEPEST = 20;

    @Override
    public String name() {
        return "gearing";
    }

    @Override
    public String title() {
        return "Gearing";
    }

    /** Speed of the car, m/s: turns of the engine a second over both ratios, times the rollout of the tyre. */
    public static double speed(double engine, double gear, double axle, double rollout) {
        return engine / (gear * axle) * rollout;
    }

    /** The axle ratio with which an engine speed in a gear is a speed of the car. */
    public static double axle(double engine, double gear, double speed, double rollout) {
        return engine / gear * rollout / speed;
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.text("tyre").ofTheCar().hint("205/50R15"),
                GaugeField.quantity("diameter", LENGTH).hint("in place of the size"),
                GaugeField.quantity("rollout", LENGTH).hint("measured, in place of both"),
                GaugeField.list("gears", NUMBER).must().ofTheCar().hint("ratios from the first up"),
                GaugeField.quantity("axle", NUMBER).must().ofTheCar().called("Axle ratio"),
                GaugeField.quantity("other axle", NUMBER).called("Compared with"),
                GaugeField.quantity("engine speed", ROTATION).must().ofTheCar(),
                GaugeField.quantity("top speed", SPEED).called("Wanted top speed"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double rollout = rollout(request);
        double[] gears = request.quantities("gears", NUMBER, 0.2, STEEPEST);
        double axle = request.number("axle", 0.5, STEEPEST);
        double other = request.quantityOr("other axle", NUMBER, Double.NaN, 0.5, STEEPEST);
        double engine = request.quantity("engine speed", ROTATION, 1, 500);
        double top = request.quantityOr("top speed", SPEED, Double.NaN, 1, 200);
        if (gears.length == 0 && request.isList("gears")) {
            request.wrong("gears", "are at least one ratio.");
        }
        for (int i = 1; i < gears.length; i++) {
            if (gears[i] >= gears[i - 1]) {
                request.wrong(
                        "gears[" + i + "]", "is not longer than the gear before it: list them from the first up.");
            }
        }
        request.done();
        List<GaugeAnswer> rows = new ArrayList<>();
        GaugeAnswer answer = new GaugeAnswer(request.system());
        answer.put("rollout", LENGTH, rollout);
        for (int i = 0; i < gears.length; i++) {
            GaugeAnswer row = answer.row()
                    .put("gear", String.valueOf(i + 1))
                    .put("ratio", NUMBER, gears[i])
                    .put("speed", SPEED, speed(engine, gears[i], axle, rollout));
            if (!Double.isNaN(other)) {
                row.put("with the other axle", SPEED, speed(engine, gears[i], other, rollout));
            }
            if (i + 1 < gears.length) {
                row.put("drops to", ROTATION, engine * gears[i + 1] / gears[i]);
            }
            rows.add(row);
        }
        answer.rows("gears", rows);
        if (!Double.isNaN(top)) {
            double wanted = axle(engine, gears[gears.length - 1], top, rollout);
            answer.put("axle for the top speed", NUMBER, wanted)
                    .put(
                            "advice",
                            String.format(
                                    Locale.ROOT,
                                    "An axle of %.2f brings that speed at that engine speed in top gear; slip of the tyre and"
                                            + " growth at speed shift it by some per cent.",
                                    wanted));
        }
        return answer;
    }

    /** The way for each turn of the wheel, m: what was measured goes before the diameter, and that before the size. */
    private static double rollout(GaugeRequest request) {
        double measured = request.quantityOr("rollout", LENGTH, Double.NaN, 0.5, 4);
        double diameter = request.quantityOr("diameter", LENGTH, Double.NaN, 0.2, 1.3);
        String size = request.text("tyre");
        double sized = size.isEmpty()
                ? Double.NaN
                : TyreSize.read(size).map(TyreSize::diameter).orElseGet(() -> {
                    request.wrong(
                            "tyre", "\"" + size + "\" is no size like 205/50R15; say diameter or rollout instead.");
                    return Double.NaN;
                });
        if (size.isEmpty() && !request.has("rollout") && !request.has("diameter")) {
            request.wrong("tyre", "is needed: a size like 205/50R15, or a diameter, or a measured rollout.");
        }
        if (!Double.isNaN(measured)) {
            return measured;
        }
        return Math.PI * (Double.isNaN(diameter) ? sized : diameter);
    }
}
