package galecrest.core.gauge.power;

import static galecrest.core.units.QuantityKind.MASS;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.POWER;
import static galecrest.core.units.QuantityKind.SHARE;
import static galecrest.core.units.QuantityKind.SPEED;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.List;
import java.util.Locale;

/** Power from the speed through the trap at the end of a quarter mile, as a check on what a rolling road says. */
public final class TrapSpeedGauge implements Gauge {
    private static final double POUND = 0.45359237;
    private static final double MILES_AN_HOUR = 0.44704;
    private static final double HORSEPOWER = 745.69987158227;
    /** A sheet further off than this is asked about: common practice. */
    private static final double DOUBT = 0.10;

    @Override
    public String name() {
        return "trap-speed";
    }

    @Override
    public String title() {
        return "Power by trap speed";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    /** W: Hale's rule, hp = lb · (mph / 234)³. */
    public static double power(double kilograms, double speed) {
        return HORSEPOWER * kilograms / POUND * Math.pow(speed / MILES_AN_HOUR / 234, 3);
    }

    /** Seconds for the quarter mile: 5.825 · (lb / hp)^⅓. */
    public static double time(double kilograms, double watt) {
        return 5.825 * Math.cbrt(kilograms / POUND / (watt / HORSEPOWER));
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("mass", MASS).must().hint("as it ran, with the driver"),
                GaugeField.quantity("trap speed", SPEED).must(),
                GaugeField.quantity("sheet power", POWER).hint("what the rolling road says"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double mass = request.quantity("mass", MASS, 100, 10_000);
        double speed = request.quantity("trap speed", SPEED, 10, 170);
        double sheet = request.quantityOr("sheet power", POWER, Double.NaN, 1_000, 1e7);
        request.done();
        double power = power(mass, speed);
        GaugeAnswer answer = new GaugeAnswer(request.system())
                .put("power", POWER, power)
                .put("quarter mile, s", NUMBER, time(mass, power));
        String rough = "an estimate that knows no grip and no wind";
        if (Double.isNaN(sheet)) {
            return answer.put("verdict", String.format(Locale.ROOT, "about %.0f kW, %s", power / 1000, rough));
        }
        double off = sheet / power - 1;
        return answer.put("sheet against it", SHARE, off)
                .put("plausible", Math.abs(off) <= DOUBT)
                .put(
                        "verdict",
                        String.format(
                                Locale.ROOT,
                                "the sheet says %.0f %% %s than the trap, %s",
                                100 * Math.abs(off),
                                off < 0 ? "less" : "more",
                                Math.abs(off) <= DOUBT ? "which agrees" : "so one of them is mistaken"));
    }
}
