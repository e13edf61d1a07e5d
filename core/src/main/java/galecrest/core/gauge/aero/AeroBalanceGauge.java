package galecrest.core.gauge.aero;

import static galecrest.core.units.QuantityKind.AREA;
import static galecrest.core.units.QuantityKind.DENSITY;
import static galecrest.core.units.QuantityKind.FORCE;
import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.POWER;
import static galecrest.core.units.QuantityKind.SHARE;
import static galecrest.core.units.QuantityKind.SPEED;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What wings, splitter and floor put on each axle at a speed, by the lever rule: what pushes behind the rear axle takes load off
 * the front. Drag at a height turns the car backwards about its wheels and does the same.
 */
public final class AeroBalanceGauge implements Gauge {
    /** ISA at sea level, kg/m³. */
    private static final double AIR = 1.225;

    @Override
    public String name() {
        return "aero-balance";
    }

    @Override
    public String title() {
        return "Aero balance";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    /** A push on both axles, N, downwards. */
    public record Loads(double front, double rear) {
        /** What a device puts on the axles: down at x behind the front axle, drag at a height above the ground. */
        public static Loads of(double down, double x, double drag, double height, double wheelbase) {
            double onRear = down * x / wheelbase + drag * height / wheelbase;
            return new Loads(down - onRear, onRear);
        }

        public Loads plus(Loads other) {
            return new Loads(front + other.front, rear + other.rear);
        }
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("speed", SPEED).must(),
                GaugeField.quantity("wheelbase", LENGTH).must().ofTheCar(),
                GaugeField.quantity("front weight", SHARE)
                        .ofTheCar()
                        .called("Static weight in front")
                        .hint("49.5 %"),
                GaugeField.quantity("air", DENSITY).hint("1.225 kg/m³ where nothing is said"),
                GaugeField.rows(
                                "devices",
                                GaugeField.text("device").must().hint("rear wing"),
                                GaugeField.quantity("area", AREA).must(),
                                GaugeField.quantity("lift", NUMBER).must().called("Coefficient downwards"),
                                GaugeField.quantity("drag", NUMBER).called("Coefficient of drag"),
                                GaugeField.quantity("position", LENGTH)
                                        .must()
                                        .hint("behind the front axle; in front of it negative"),
                                GaugeField.quantity("height", LENGTH).hint("of its drag above the ground"))
                        .must());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double speed = request.quantity("speed", SPEED, 1, 150);
        double wheelbase = request.quantity("wheelbase", LENGTH, 1, 6);
        double weight = request.quantityOr("front weight", SHARE, Double.NaN, 0.1, 0.9);
        double air = request.quantityOr("air", DENSITY, AIR, 0.6, 1.6);
        double pressure = air * speed * speed / 2;
        List<GaugeRequest> devices = request.rows("devices");
        if (devices.isEmpty()) {
            request.wrong("devices", "are needed, each with what it pushes.");
        }
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> rows = new ArrayList<>();
        Loads sum = new Loads(0, 0);
        double drag = 0;
        List<String> behind = new ArrayList<>();
        for (GaugeRequest row : devices) {
            String name = row.text("device");
            if (name.isEmpty()) {
                row.wrong("device", "is needed: what it is.");
            }
            double area = row.quantity("area", AREA, 1e-4, 20);
            double down = pressure * area * row.quantity("lift", NUMBER, -5, 8);
            double back = pressure * area * row.quantityOr("drag", NUMBER, 0, 0, 5);
            double position = row.quantity("position", LENGTH, -3, 9);
            Loads loads = Loads.of(down, position, back, row.quantityOr("height", LENGTH, 0, 0, 3), wheelbase);
            sum = sum.plus(loads);
            drag += back;
            if (position > wheelbase && down > 0) {
                behind.add(name);
            }
            rows.add(answer.row()
                    .put("device", name)
                    .put("position", LENGTH, position)
                    .put("down", FORCE, down)
                    .put("drag", FORCE, back)
                    .put("front axle", FORCE, loads.front())
                    .put("rear axle", FORCE, loads.rear()));
        }
        request.done();
        double down = sum.front() + sum.rear();
        double front = sum.front() / down;
        answer.put("front axle", FORCE, sum.front())
                .put("rear axle", FORCE, sum.rear())
                .put("down", FORCE, down)
                .put("drag", FORCE, drag)
                .put("power for the drag", POWER, drag * speed)
                .put("wheelbase", LENGTH, wheelbase);
        String verdict = String.format(Locale.ROOT, "%.0f N down, %.0f N of it in front", down, sum.front());
        if (down > 0) {
            answer.put("aero balance", SHARE, front);
            verdict += String.format(Locale.ROOT, " (%.1f %%)", 100 * front);
            if (!Double.isNaN(weight)) {
                answer.put("against the weight", SHARE, front - weight);
                verdict += String.format(
                        Locale.ROOT,
                        "; %.1f points %s than the weight",
                        100 * Math.abs(front - weight),
                        front < weight ? "further back" : "further forward");
            }
        }
        if (!behind.isEmpty()) {
            answer.put("unloads the front", behind);
        }
        return answer.rows("devices", rows).put("verdict", verdict);
    }
}
