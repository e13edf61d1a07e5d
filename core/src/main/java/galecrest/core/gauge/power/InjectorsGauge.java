package galecrest.core.gauge.power;

import static galecrest.core.units.QuantityKind.CONSUMPTION;
import static galecrest.core.units.QuantityKind.FLOW;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.POWER;
import static galecrest.core.units.QuantityKind.PRESSURE;
import static galecrest.core.units.QuantityKind.SHARE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.List;
import java.util.Locale;

/**
 * What each injector must flow for a power, what it flows at another rail pressure, what a blend with ethanol asks of pump and
 * injectors, and the power at which they run out.
 */
public final class InjectorsGauge implements Gauge {
    /** How long an injector is open at most: common practice. */
    private static final double DUTY = 0.85;
    /** Air to fuel by mass, of petrol and of ethanol (from memory: 14.7 and 9.0). */
    private static final double PETROL_AIR = 14.7;

    private static final double ETHANOL_AIR = 9.0;
    /** kg/L at 15 °C (from memory: 0.745 and 0.789). */
    private static final double PETROL_DENSITY = 0.745;

    private static final double ETHANOL_DENSITY = 0.789;

    @Override
    public String name() {
        return "injectors";
    }

    @Override
    public String title() {
        return "Injectors and fuel";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("power", POWER).must(),
                GaugeField.quantity("consumption", CONSUMPTION).must().called("Specific consumption"),
                GaugeField.quantity("count", NUMBER).must().ofTheCar().called("Injectors"),
                GaugeField.quantity("duty", SHARE).hint("85 % where nothing is said"),
                GaugeField.quantity("rated flow", FLOW).ofTheCar().hint("of one injector, as on its sheet"),
                GaugeField.quantity("rated pressure", PRESSURE).ofTheCar().hint("at which that was measured"),
                GaugeField.quantity("rail pressure", PRESSURE).ofTheCar().hint("above the manifold's"),
                GaugeField.quantity("ethanol", SHARE).hint("of the volume: 10 % in E10, 85 % in E85"));
    }

    /** Flow of each injector, kg/s: power times specific consumption, over injectors and the time they are open. */
    public static double needed(double watt, double consumption, int count, double duty) {
        return watt * consumption / (count * duty);
    }

    /** Flow at another pressure across the injector: by its square root (Bernoulli). */
    public static double at(double flow, double rated, double rail) {
        return flow * Math.sqrt(rail / rated);
    }

    /** Air to fuel by mass of a blend with that share of ethanol by volume. */
    public static double air(double ethanol) {
        double heavy = ethanol * ETHANOL_DENSITY;
        double mass = heavy / (heavy + (1 - ethanol) * PETROL_DENSITY);
        return mass * ETHANOL_AIR + (1 - mass) * PETROL_AIR;
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double power = request.quantity("power", POWER, 1_000, 5e6);
        double consumption = request.quantity("consumption", CONSUMPTION, 4e-8, 3e-7);
        int count = request.whole("count", 1, 32);
        double duty = request.quantityOr("duty", SHARE, DUTY, 0.2, 1);
        double rated = request.quantityOr("rated flow", FLOW, Double.NaN, 1e-4, 0.1);
        double ratedAt = request.quantityOr("rated pressure", PRESSURE, Double.NaN, 50_000, 2e7);
        double rail = request.quantityOr("rail pressure", PRESSURE, ratedAt, 50_000, 2e7);
        double ethanol = request.quantityOr("ethanol", SHARE, 0, 0, 1);
        if (request.has("rail pressure") && !request.has("rated pressure")) {
            request.wrong("rated pressure", "is needed to say what they flow at another pressure.");
        }
        request.done();
        double more = PETROL_AIR / air(ethanol);
        double needed = needed(power, consumption, count, duty) * more;
        GaugeAnswer answer = new GaugeAnswer(request.system())
                .put("needed each", FLOW, needed)
                .put("pump", FLOW, power * consumption * more)
                .put("air to fuel", NUMBER, air(ethanol))
                .put("more fuel", NUMBER, more);
        if (Double.isNaN(rated)) {
            return answer.put("verdict", String.format(Locale.ROOT, "%.2f g/s each", 1000 * needed));
        }
        double flow = Double.isNaN(ratedAt) ? rated : at(rated, ratedAt, rail);
        double out = power * flow / needed;
        boolean enough = flow >= needed;
        return answer.put("flow each", FLOW, flow)
                .put("duty at that power", SHARE, duty * needed / flow)
                .put("runs out at", POWER, out)
                .put("enough", enough)
                .put(
                        "verdict",
                        String.format(
                                Locale.ROOT,
                                "%s: they run out at %.0f kW, at %.0f %% open",
                                enough ? "enough" : "too small",
                                out / 1000,
                                100 * duty));
    }
}
