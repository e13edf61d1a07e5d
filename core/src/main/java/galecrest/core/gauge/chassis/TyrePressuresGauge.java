package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.PRESSURE;
import static galecrest.core.units.QuantityKind.TEMPERATURE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Tyre pressures as set, judged against what is wanted, and what they will be at another temperature: pressures of a gas
 * that is shut in, over vacuum, go with the temperature (Gay-Lussac).
 */
public final class TyrePressuresGauge implements Gauge {
    /** Standard atmosphere, Pa (ISO 2533). */
    private static final double ATMOSPHERE = 101_325;
    /** Pa; what a hand gauge repeats: common practice. */
    private static final double TOLERANCE = 2_000;

    @Override
    public String name() {
        return "tyre-pressures";
    }

    @Override
    public String title() {
        return "Tyre pressures";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("said");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.corners("pressures", PRESSURE).must().called("Pressure"),
                GaugeField.quantity("front target", PRESSURE).ofTheCar().called("Wanted, front"),
                GaugeField.quantity("rear target", PRESSURE).ofTheCar().called("Wanted, rear"),
                GaugeField.quantity("tolerance", PRESSURE).ofTheCar(),
                GaugeField.quantity("temperature", TEMPERATURE).called("Of the tyres now"),
                GaugeField.quantity("hot", TEMPERATURE).called("When hot").hint("says what they will be then"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double[] four = CornerFields.four(request, "pressures", PRESSURE, 0, 1e6);
        double[] wanted = {
            request.quantityOr("front target", PRESSURE, Double.NaN, 1e4, 1e6),
            request.quantityOr("rear target", PRESSURE, Double.NaN, 1e4, 1e6)
        };
        double tolerance = request.quantityOr("tolerance", PRESSURE, TOLERANCE, 0, 1e5);
        double now = request.quantityOr("temperature", TEMPERATURE, Double.NaN, 200, 450);
        double hot = request.quantityOr("hot", TEMPERATURE, Double.NaN, 200, 450);
        if (request.has("hot") && !request.has("temperature")) {
            request.wrong("temperature", "is needed to say what they will be when hot.");
        }
        request.done();
        List<String> verdict = new ArrayList<>();
        double[] then = new double[four.length];
        for (int i = 0; i < four.length; i++) {
            double off = four[i] - wanted[i / 2];
            if (Math.abs(off) > tolerance + 1) {
                verdict.add(Corner.NAMES.get(i) + " is " + QuantityText.say(PRESSURE, Math.abs(off), request.system())
                        + (off < 0 ? " too low" : " too high"));
            }
            then[i] = (four[i] + ATMOSPHERE) * hot / now - ATMOSPHERE;
        }
        GaugeAnswer answer = new GaugeAnswer(request.system())
                .put("pressures", PRESSURE, Corner.NAMES, four)
                .put(
                        "said",
                        java.util.Arrays.stream(four)
                                .mapToObj(p -> QuantityText.say(PRESSURE, p, request.system()))
                                .collect(Collectors.joining(" / ")));
        if (!Double.isNaN(wanted[0]) || !Double.isNaN(wanted[1])) {
            answer.put("good", verdict.isEmpty())
                    .put("verdict", verdict.isEmpty() ? List.of("All as wanted.") : verdict);
        }
        if (!Double.isNaN(hot)) {
            answer.put("when hot", PRESSURE, Corner.NAMES, then);
        }
        return answer.put("before", List.of("Cold, with one gauge for all four, valve cores tight and caps on after."));
    }
}
