package galecrest.core.gauge.fabrication;

import static galecrest.core.units.QuantityKind.ANGLE;
import static galecrest.core.units.QuantityKind.LENGTH;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The heights of a tube's end every ten degrees, for a template that is wrapped around it. */
public final class CopeGauge implements Gauge {
    private static final int STEP = 10;
    private static final int ROUND = 360;

    private enum Touches {
        OUTSIDE,
        INSIDE
    }

    @Override
    public String name() {
        return "cope";
    }

    @Override
    public String title() {
        return "Tube cope";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("diameter", LENGTH).must().called("Branch diameter"),
                GaugeField.quantity("wall", LENGTH).must(),
                GaugeField.choice("touches", "outside", "inside").called("Touches with its"),
                GaugeField.rows(
                                "tubes",
                                GaugeField.quantity("diameter", LENGTH).must(),
                                GaugeField.quantity("angle", ANGLE).must().hint("between the axes, 90°"),
                                GaugeField.quantity("offset", LENGTH).hint("of the axes past each other"),
                                GaugeField.quantity("turned", ANGLE).hint("about the branch, from the first tube"))
                        .must());
    }

    /** A node as it was asked about. */
    private record Node(Cope cope, double diameter) {}

    /**
     * The template of what was asked.
     *
     * @param title what is written on it
     * @throws galecrest.core.gauge.WrongRequest as {@link #answer}
     */
    public static CopeTemplate template(GaugeRequest request, String title) {
        Node node = node(request);
        heights(request, node.cope());
        return CopeTemplate.of(node.cope(), node.diameter(), title);
    }

    private static Node node(GaugeRequest request) {
        double diameter = request.quantity("diameter", LENGTH, 0.003, 0.3);
        double wall = request.quantity("wall", LENGTH, 0.0002, 0.05);
        boolean inside = request.choice("touches", Touches.class) == Touches.INSIDE;
        if (wall >= diameter / 2) {
            request.wrong("wall", "is thicker than the tube.");
        }
        List<Cope.Main> mains = new ArrayList<>();
        for (GaugeRequest row : request.rows("tubes")) {
            double main = row.quantity("diameter", LENGTH, 0.003, 0.3);
            double angle = row.quantity("angle", ANGLE, Math.toRadians(10), Math.toRadians(170));
            double offset = row.quantityOr("offset", LENGTH, 0, -0.15, 0.15);
            double turned = row.quantityOr("turned", ANGLE, 0, -2 * Math.PI, 2 * Math.PI);
            if (main > 0 && angle > 0) {
                mains.add(new Cope.Main(main / 2, angle, offset, turned));
            }
        }
        if (mains.isEmpty()) {
            request.wrong("tubes", "are needed: what the branch sits on.");
        }
        request.done();
        return new Node(new Cope(inside ? diameter / 2 - wall : diameter / 2, mains), diameter);
    }

    private static double[] heights(GaugeRequest request, Cope cope) {
        double[] heights = new double[ROUND];
        for (int degree = 0; degree < ROUND; degree++) {
            heights[degree] = cope.height(Math.toRadians(degree));
            if (Double.isInfinite(heights[degree])) {
                request.wrong("tubes", "leave the branch open at " + degree + "°: it passes beside them there.");
                request.done();
            }
        }
        return heights;
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        Node node = node(request);
        double diameter = node.diameter();
        double[] heights = heights(request, node.cope());
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (double height : heights) {
            least = Math.min(least, height);
            most = Math.max(most, height);
        }
        GaugeAnswer answer = new GaugeAnswer(request.system())
                .put("depth", LENGTH, most - least)
                .put("around", LENGTH, Math.PI * diameter)
                .put("longest", LENGTH, most)
                .put("shortest", LENGTH, least)
                .put(
                        "verdict",
                        String.format(
                                Locale.ROOT,
                                "%.1f mm deep, %.1f mm around; check the print by its bar before it is wrapped",
                                1000 * (most - least),
                                1000 * Math.PI * diameter));
        List<GaugeAnswer> rows = new ArrayList<>();
        for (int degree = 0; degree < ROUND; degree += STEP) {
            rows.add(answer.row()
                    .put("at", degree + "°")
                    .put("around", LENGTH, Math.PI * diameter * degree / ROUND)
                    .put("height", LENGTH, heights[degree]));
        }
        return answer.rows("heights", rows)
                .rows(
                        "tubes",
                        node.cope().mains().stream()
                                .map(m -> answer.row()
                                        .put("diameter", LENGTH, 2 * m.radius())
                                        .put("angle", ANGLE, m.angle())
                                        .put("offset", LENGTH, m.offset())
                                        .put("turned", ANGLE, m.turned()))
                                .toList());
    }
}
