package galecrest.core.gauge.power;

import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.POWER;
import static galecrest.core.units.QuantityKind.PRESSURE;
import static galecrest.core.units.QuantityKind.SHARE;
import static galecrest.core.units.QuantityKind.TEMPERATURE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A measured power in the air of a standard, the raw one beside it, and by every other standard. A boosted engine makes its own
 * air: it is left uncorrected unless somebody wants it otherwise.
 */
public final class AirGauge implements Gauge {
    /** The standards hold so far from 1 (SAE J1349, ISO 1585). */
    private static final double RANGE = 0.07;

    @Override
    public String name() {
        return "air-correction";
    }

    @Override
    public String title() {
        return "Power in standard air";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("power", POWER).must().called("Measured power"),
                GaugeField.quantity("pressure", PRESSURE).must().hint("990 hPa, of the room, not of the forecast"),
                GaugeField.quantity("temperature", TEMPERATURE).must().hint("25 °C, where the engine breathes"),
                GaugeField.quantity("humidity", SHARE).must().hint("50 %"),
                GaugeField.choice("standard", "sae j1349", "iso 1585", "din 70020", "std 60f", "none"),
                GaugeField.flag("boosted").ofTheCar(),
                GaugeField.flag("correct all the same").called("Correct it although it is boosted"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double power = request.quantity("power", POWER, 100, 5e6);
        double pressure = request.quantity("pressure", PRESSURE, 60_000, 110_000);
        double temperature = request.quantity("temperature", TEMPERATURE, 243, 333);
        double humidity = request.quantity("humidity", SHARE, 0, 1);
        Air.Standard standard = request.choice("standard", Air.Standard.class);
        boolean left = request.flag("boosted") & !request.flag("correct all the same");
        request.done();
        Air air = new Air(pressure, temperature, humidity);
        double factor = left ? 1 : air.factor(standard);
        boolean inRange = Math.abs(factor - 1) <= RANGE;
        List<GaugeAnswer> rows = new ArrayList<>();
        GaugeAnswer answer = new GaugeAnswer(request.system());
        for (Air.Standard each : Air.Standard.values()) {
            rows.add(answer.row()
                    .put("standard", said(each))
                    .put("factor", NUMBER, air.factor(each))
                    .put("power", POWER, power * air.factor(each)));
        }
        String by = left ? "left as measured: it is boosted" : "by " + said(standard);
        return answer.put("corrected", POWER, power * factor)
                .put("raw", POWER, power)
                .put("factor", NUMBER, factor)
                .put("dry pressure, hPa", NUMBER, air.dry() / 100)
                .put("in range", inRange)
                .put(
                        "verdict",
                        String.format(Locale.ROOT, "%.1f kW raw, × %.4f, %s", power / 1000, factor, by)
                                + (inRange ? "" : "; more than 7 % off, outside of what the standard holds for"))
                .rows("standards", rows);
    }

    private static String said(Air.Standard standard) {
        return switch (standard) {
            case SAE_J1349 -> "SAE J1349";
            case ISO_1585 -> "ISO 1585";
            case DIN_70020 -> "DIN 70020";
            case STD_60F -> "60 °F standard";
            case NONE -> "none";
        };
    }
}
