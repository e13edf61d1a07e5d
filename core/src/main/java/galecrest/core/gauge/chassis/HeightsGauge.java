package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.ANGLE;
import static galecrest.core.units.QuantityKind.FORCE;
import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.STIFFNESS;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Heights: at four marks, rake, what the driver presses down, travel to the stops, spacers, preload, clearance. */
public final class HeightsGauge implements Gauge {
    @Override
    public String name() {
        return "heights";
    }

    @Override
    public String title() {
        return "Heights, droop, rake";
    }

    /** The angle of the car to the ground, rad; positive where the rear is higher. */
    public static double rake(double front, double rear, double between) {
        return Math.atan2(rear - front, between);
    }

    /** By how much a spacer over the spring raises that corner of the body at the wheel, m. */
    public static double spacer(double thickness, double motionRatio) {
        return thickness / motionRatio;
    }

    /** The force in a spring that is held shorter than it is, N. */
    public static double preload(double rate, double free, double installed) {
        return rate * Math.max(0, free - installed);
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.said("front") + " front, " + answer.said("rear") + " rear";
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.corners("heights", LENGTH).must().called("Height"),
                GaugeField.corners("before", LENGTH).called("Before").hint("as without the driver"),
                GaugeField.corners("droop", LENGTH).hint("down to the stop"),
                GaugeField.corners("bump", LENGTH).hint("up to the stop"),
                GaugeField.quantity("marks apart", LENGTH).ofTheCar().hint("front marks to rear marks"),
                GaugeField.corners("target", LENGTH).ofTheCar().called("Wanted"),
                GaugeField.quantity("tolerance", LENGTH).ofTheCar(),
                GaugeField.quantity("spacer", LENGTH),
                GaugeField.quantity("motion ratio", NUMBER).ofTheCar(),
                GaugeField.part(
                        "spring",
                        GaugeField.quantity("rate", STIFFNESS).must(),
                        GaugeField.quantity("free length", LENGTH).must(),
                        GaugeField.quantity("length at droop", LENGTH).must()),
                GaugeField.list("clearances", LENGTH).hint("the lowest points, one after the other"),
                GaugeField.quantity("least clearance", LENGTH).ofTheCar());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double[] heights = four(request, "heights");
        double between = request.quantityOr("marks apart", LENGTH, Double.NaN, 0.5, 8);
        double[] before = request.has("before") ? four(request, "before") : new double[0];
        double[] droop = request.has("droop") ? four(request, "droop") : new double[0];
        double[] bump = request.has("bump") ? four(request, "bump") : new double[0];
        double[] wanted = request.has("target") ? four(request, "target") : new double[0];
        double within = request.quantityOr("tolerance", LENGTH, 0.001, 0, 0.05);
        double thickness = request.quantityOr("spacer", LENGTH, Double.NaN, -0.2, 0.2);
        double ratio = request.quantityOr("motion ratio", NUMBER, 1, 0.2, 3);
        GaugeRequest spring = request.part("spring");
        boolean sprung = request.has("spring");
        double rate = sprung ? spring.quantity("rate", STIFFNESS, 500, 2e6) : Double.NaN;
        double free = sprung ? spring.quantity("free length", LENGTH, 0.03, 1) : Double.NaN;
        double installed = sprung ? spring.quantity("length at droop", LENGTH, 0.03, 1) : Double.NaN;
        double[] clear = request.has("clearances") ? request.quantities("clearances", LENGTH, -0.1, 1) : new double[0];
        double least = request.quantityOr("least clearance", LENGTH, Double.NaN, 0, 1);
        request.done();
        GaugeAnswer answer = new GaugeAnswer(request.system());
        double front = (heights[0] + heights[1]) / 2;
        double rear = (heights[2] + heights[3]) / 2;
        answer.put("heights", LENGTH, Corner.NAMES, heights)
                .put("front", LENGTH, front)
                .put("rear", LENGTH, rear)
                .put("left over right", LENGTH, (heights[0] + heights[2] - heights[1] - heights[3]) / 2);
        judge(answer, heights, wanted, within);
        if (!Double.isNaN(between)) {
            answer.put("rake", ANGLE, rake(front, rear, between)).put("rake over the marks", LENGTH, rear - front);
        }
        if (before.length > 0) {
            double[] change = new double[before.length];
            Arrays.setAll(change, i -> heights[i] - before[i]);
            answer.put("change", LENGTH, Corner.NAMES, change);
        }
        travel(answer, droop, bump);
        if (!Double.isNaN(thickness)) {
            answer.put("spacer raises", LENGTH, spacer(thickness, ratio));
        }
        if (sprung) {
            answer.put("preload", LENGTH, free - installed).put("preload force", FORCE, preload(rate, free, installed));
        }
        clearance(answer, clear, least);
        return answer;
    }

    private static void judge(GaugeAnswer answer, double[] heights, double[] wanted, double within) {
        if (wanted.length == 0) {
            return;
        }
        List<String> off = new ArrayList<>();
        for (int i = 0; i < heights.length; i++) {
            double high = heights[i] - wanted[i];
            if (Math.abs(high) > within + 1e-6) {
                off.add(Corner.NAMES.get(i) + " is " + QuantityText.say(LENGTH, Math.abs(high), answer.system())
                        + (high > 0 ? " too high" : " too low"));
            }
        }
        answer.put("good", off.isEmpty()).put("verdict", off.isEmpty() ? List.of("All as wanted.") : off);
    }

    private static void travel(GaugeAnswer answer, double[] droop, double[] bump) {
        if (droop.length > 0) {
            answer.put("droop", LENGTH, Corner.NAMES, droop);
        }
        if (bump.length > 0) {
            answer.put("bump", LENGTH, Corner.NAMES, bump);
        }
        List<String> said = new ArrayList<>();
        for (int i = 0; i < Math.min(droop.length, bump.length); i++) {
            if (droop[i] <= 0 || bump[i] <= 0) {
                said.add("The " + Corner.NAMES.get(i) + " wheel has no travel left " + (droop[i] <= 0 ? "down" : "up")
                        + ": it stands on its stop.");
            }
        }
        if (!said.isEmpty()) {
            answer.put("stops", said);
        }
    }

    private static void clearance(GaugeAnswer answer, double[] clear, double least) {
        if (clear.length == 0) {
            return;
        }
        double worst = Arrays.stream(clear).min().orElseThrow();
        answer.put("worst clearance", LENGTH, worst);
        if (!Double.isNaN(least)) {
            answer.put("clear", worst >= least);
        }
    }

    private static double[] four(GaugeRequest request, String field) {
        return CornerFields.four(request, field, LENGTH, -1, 2);
    }
}
