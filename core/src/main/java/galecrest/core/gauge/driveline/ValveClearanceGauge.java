package galecrest.core.gauge.driveline;

import static galecrest.core.units.QuantityKind.ANGLE;
import static galecrest.core.units.QuantityKind.LENGTH;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** The valve sheet: clearance measured against its target, the shim to fit, and in which order to turn the engine over. */
public final class ValveClearanceGauge implements Gauge {
    private static final double FULL_CYCLE = 4 * Math.PI;

    @Override
    public String name() {
        return "valve-clearance";
    }

    @Override
    public String title() {
        return "Valve clearances";
    }

    /** The shim that brings a clearance to its target: thicker by what the clearance is too large. */
    public static double shim(double fitted, double measured, double target) {
        return fitted + measured - target;
    }

    /** The nearest shim that there is, in steps; rather the thinner of two, since clearances close with wear of the seat. */
    public static double nearest(double wanted, double step) {
        return step * Math.ceil(wanted / step - 0.5);
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("intake target", LENGTH).must().ofTheCar().called("Wanted, intake"),
                GaugeField.quantity("exhaust target", LENGTH).must().ofTheCar().called("Wanted, exhaust"),
                GaugeField.quantity("tolerance", LENGTH).ofTheCar(),
                GaugeField.quantity("shim step", LENGTH).ofTheCar(),
                GaugeField.text("firing order").ofTheCar().hint("1-3-4-2"),
                GaugeField.rows(
                                "valves",
                                GaugeField.text("valve").hint("1 in"),
                                GaugeField.choice("kind", "intake", "exhaust"),
                                GaugeField.quantity("measured", LENGTH).must(),
                                GaugeField.quantity("shim", LENGTH).called("Shim fitted"))
                        .must());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double intake = request.quantity("intake target", LENGTH, 0, 0.002);
        double exhaust = request.quantity("exhaust target", LENGTH, 0, 0.002);
        double tolerance = request.quantityOr("tolerance", LENGTH, 0.00002, 0, 0.0005);
        double step = request.quantityOr("shim step", LENGTH, 0.00005, 0.000005, 0.001);
        int[] order = order(request);
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> rows = new ArrayList<>();
        int change = 0;
        for (GaugeRequest row : request.rows("valves")) {
            boolean in = row.choice("kind", Kind.class) == Kind.INTAKE;
            double target = in ? intake : exhaust;
            double measured = row.quantity("measured", LENGTH, 0, 0.005);
            boolean good = Math.abs(measured - target) <= tolerance + 1e-9;
            GaugeAnswer said = answer.row()
                    .put("valve", row.text("valve"))
                    .put("kind", in ? "intake" : "exhaust")
                    .put("measured", LENGTH, measured)
                    .put("target", LENGTH, target)
                    .put("good", good);
            double fitted = row.quantityOr("shim", LENGTH, Double.NaN, 0.0005, 0.02);
            if (!good && !Double.isNaN(fitted)) {
                double fit = nearest(shim(fitted, measured, target), step);
                said.put("fit shim", LENGTH, fit).put("clearance then", LENGTH, measured + fitted - fit);
            }
            change += good ? 0 : 1;
            rows.add(said);
        }
        if (rows.isEmpty()) {
            request.wrong("valves", "are needed, each with its kind and what was measured.");
        }
        request.done();
        answer.rows("valves", rows).put("to change", String.valueOf(change));
        if (order.length > 0) {
            answer.put("turn each time", ANGLE, FULL_CYCLE / order.length)
                    .put(
                            "order",
                            Arrays.stream(order)
                                    .mapToObj(c -> "cylinder " + c + " at the top of its compression")
                                    .toList());
        }
        return answer.put(
                "before",
                List.of(
                        "Cold or hot as the engine's sheet says. Spark plugs out, gearbox in neutral, turned by hand."));
    }

    private enum Kind {
        INTAKE,
        EXHAUST
    }

    private static int[] order(GaugeRequest request) {
        String text = request.text("firing order");
        if (text.isEmpty()) {
            return new int[0];
        }
        if (!text.matches("\\d{1,2}(\\s*-\\s*\\d{1,2})*")) {
            request.wrong("firing order", "\"" + text + "\" is written like 1-3-4-2.");
            return new int[0];
        }
        int[] order = Arrays.stream(text.split("-"))
                .map(String::strip)
                .mapToInt(Integer::parseInt)
                .toArray();
        String sorted = Arrays.stream(order).sorted().mapToObj(String::valueOf).collect(Collectors.joining("-"));
        String all = java.util.stream.IntStream.rangeClosed(1, order.length)
                .mapToObj(String::valueOf)
                .collect(Collectors.joining("-"));
        if (!sorted.equals(all)) {
            request.wrong("firing order", "names each cylinder once.");
        }
        return order;
    }
}
