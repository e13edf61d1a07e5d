package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.ANGLE;
import static galecrest.core.units.QuantityKind.LENGTH;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Alignment by strings: toe of each wheel in every way it is said, thrust and axle offset. */
public final class StringsGauge implements Gauge {
    private static final List<String> AXLES = List.of("front", "rear");
    /** A toe of more than so much is a mistake at the string, not a setting. */
    private static final double MOST_TOE = Math.toRadians(5);

    private static final double NOT_PARALLEL = Math.toRadians(0.03);

    @Override
    public String name() {
        return "strings";
    }

    @Override
    public String title() {
        return "Alignment by strings";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("total front") + " front, " + answer.text("total rear") + " rear, thrust "
                + answer.said("thrust");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.wheels(
                        GaugeField.quantity("front", LENGTH).must().hint("string to rim, front edge"),
                        GaugeField.quantity("rear", LENGTH).must().hint("string to rim, rear edge"),
                        GaugeField.quantity("rim", LENGTH).hint("only where it differs")),
                GaugeField.quantity("rim", LENGTH)
                        .ofTheCar()
                        .called("Across the rim")
                        .hint("between the two points, like 432 mm"),
                GaugeField.quantity("wheelbase", LENGTH).ofTheCar().hint("takes out strings that are not parallel"),
                GaugeField.quantity("front track", LENGTH).ofTheCar(),
                GaugeField.quantity("rear track", LENGTH).ofTheCar(),
                GaugeField.quantity("front target", ANGLE).ofTheCar().called("Wanted total toe, front"),
                GaugeField.quantity("rear target", ANGLE).ofTheCar().called("Wanted total toe, rear"),
                GaugeField.quantity("tolerance", ANGLE).ofTheCar());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double rim = request.quantityOr("rim", LENGTH, Double.NaN, 0.2, 0.8);
        double[] front = new double[4];
        double[] rear = new double[4];
        double[] across = new double[4];
        for (int i = 0; i < across.length; i++) {
            GaugeRequest wheel = request.part(Corner.NAMES.get(i));
            front[i] = wheel.quantity("front", LENGTH, 0, 1);
            rear[i] = wheel.quantity("rear", LENGTH, 0, 1);
            across[i] = wheel.quantityOr("rim", LENGTH, rim, 0.2, 0.8);
            if (Double.isNaN(across[i])) {
                wheel.wrong("rim", "is needed, here or for all wheels: the distance of the two points on the rim.");
            } else if (Math.abs(front[i] - rear[i]) > across[i] * Math.sin(MOST_TOE)) {
                wheel.wrong(
                        "front",
                        "and the rear differ by more than 5° of toe: does the string touch or cross the rim, or is a reading"
                                + " from another wheel?");
            }
        }
        boolean corrected = request.has("wheelbase");
        double wheelbase = corrected ? request.quantity("wheelbase", LENGTH, 0.8, 8) : Double.NaN;
        double frontTrack = corrected ? request.quantity("front track", LENGTH, 0.5, 3) : Double.NaN;
        double rearTrack = corrected ? request.quantityOr("rear track", LENGTH, frontTrack, 0.5, 3) : Double.NaN;
        double[] wanted = {
            request.quantityOr("front target", ANGLE, Double.NaN, -MOST_TOE, MOST_TOE),
            request.quantityOr("rear target", ANGLE, Double.NaN, -MOST_TOE, MOST_TOE)
        };
        double tolerance = request.quantityOr("tolerance", ANGLE, Math.toRadians(0.05), 0, MOST_TOE);
        request.done();
        StringAlignment strings = new StringAlignment(front, rear, across);
        double[] angles = corrected ? strings.stringAngles(wheelbase, frontTrack, rearTrack) : new double[] {0, 0};
        return answer(request, strings, angles, wanted, tolerance);
    }

    private static GaugeAnswer answer(
            GaugeRequest request, StringAlignment strings, double[] angles, double[] wanted, double tolerance) {
        double[] toes = strings.toes(angles);
        double[] atRim = new double[toes.length];
        List<GaugeAnswer> axles = new ArrayList<>();
        List<String> said = new ArrayList<>();
        for (int i = 0; i < toes.length; i++) {
            atRim[i] = Math.sin(toes[i]) * strings.across()[i];
        }
        GaugeAnswer answer = new GaugeAnswer(request.system());
        for (int axle = 0; axle < AXLES.size(); axle++) {
            double total = toes[2 * axle] + toes[2 * axle + 1];
            axles.add(answer.row()
                    .put("axle", AXLES.get(axle))
                    .put("total toe", ANGLE, total)
                    .put("said", degrees(total))
                    .put("at the rims", LENGTH, atRim[2 * axle] + atRim[2 * axle + 1]));
            answer.put("total " + AXLES.get(axle), degrees(total));
            if (!Double.isNaN(wanted[axle])) {
                boolean good = Math.abs(total - wanted[axle]) <= tolerance;
                said.add("Total toe " + AXLES.get(axle) + " " + degrees(total) + ", wanted " + degrees(wanted[axle])
                        + ": " + (good ? "within tolerance." : total < wanted[axle] ? "more toe-in." : "less toe-in."));
            }
        }
        if (Math.abs(angles[0] - angles[1]) > NOT_PARALLEL || Math.abs(angles[0]) > NOT_PARALLEL) {
            said.add("The strings were not parallel to the car; that is taken out.");
        }
        answer.put("toe", ANGLE, Corner.NAMES, toes)
                .put("toe at the rim", LENGTH, Corner.NAMES, atRim)
                .rows("axles", axles)
                .put("thrust", ANGLE, StringAlignment.thrust(toes))
                .put("axle offset", LENGTH, strings.axleOffset())
                .put("verdict", said);
        return answer.put(
                "before",
                List.of(
                        "Car level, settled, on turn plates or sheets that slide; driver or ballast in; pressures set.",
                        "Steering centred and held; strings at hub height, as far from the hubs in front as behind."));
    }

    /** Degrees and minutes: in for toe-in, out for toe-out. */
    static String degrees(double angle) {
        long minutes = Math.round(Math.toDegrees(Math.abs(angle)) * 60);
        String size = String.format(Locale.ROOT, "%d° %02d′", minutes / 60, minutes % 60);
        return minutes == 0 ? size : size + (angle > 0 ? " in" : " out");
    }
}
