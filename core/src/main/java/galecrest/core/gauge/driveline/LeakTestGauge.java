package galecrest.core.gauge.driveline;

import static galecrest.core.units.QuantityKind.DURATION;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.PRESSURE;
import static galecrest.core.units.QuantityKind.TEMPERATURE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.List;

/**
 * A leak and pressure test: what was held for how long, and what was lost. Where air was held, the pressure at the end is
 * first brought to the temperature of the beginning: p₁/T₁ = p₂/T₂ at constant volume (Gay-Lussac), absolute pressures.
 */
public final class LeakTestGauge implements Gauge {
    private static final double ATMOSPHERE = 101_325;

    @Override
    public String name() {
        return "leak-test";
    }

    @Override
    public String title() {
        return "Leak and pressure log";
    }

    /** Gauge pressure at another temperature, Pa: of a gas that is shut in. */
    public static double at(double pressure, double kelvin, double other) {
        return (pressure + ATMOSPHERE) * other / kelvin - ATMOSPHERE;
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.text("what").hint("cooling system"),
                GaugeField.text("where"),
                GaugeField.quantity("start", PRESSURE).must(),
                GaugeField.quantity("end", PRESSURE).must(),
                GaugeField.quantity("held", DURATION).must().called("Held for"),
                GaugeField.quantity("allowed drop", PRESSURE).ofTheCar(),
                GaugeField.quantity("temperature", TEMPERATURE).hint("of the room, with air"),
                GaugeField.quantity("temperature after", TEMPERATURE));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        request.text("what");
        request.text("where");
        double start = request.quantity("start", PRESSURE, -1e5, 1e8);
        double end = request.quantity("end", PRESSURE, -1e5, 1e8);
        double held = request.quantity("held", DURATION, 1, 1e6);
        double allowed = request.quantityOr("allowed drop", PRESSURE, 0.02e5, 0, 1e7);
        double before = request.quantityOr("temperature", TEMPERATURE, Double.NaN, 200, 500);
        double after = request.quantityOr("temperature after", TEMPERATURE, before, 200, 500);
        request.done();
        double corrected = Double.isNaN(before) ? end : at(end, after, before);
        double drop = start < 0 ? corrected - start : start - corrected;
        boolean tight = drop <= allowed;
        return new GaugeAnswer(request.system())
                .put("drop", PRESSURE, drop)
                .put("drop as read", PRESSURE, start - end)
                .put("minutes", NUMBER, held / 60)
                .put("drop in a minute", PRESSURE, drop * 60 / held)
                .put("tight", tight)
                .put(
                        "verdict",
                        tight
                                ? "Held."
                                : "It loses pressure: soap the joints from the pump outwards, tighten or reseal, and test again.")
                .put(
                        "before",
                        List.of(
                                "Fuel: ventilation, no sparks, extinguisher at hand; never test a tank with air beyond what its"
                                        + " maker says.",
                                "Eye protection; nobody in line with a fitting under pressure."));
    }
}
