package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.DENSITY;
import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.MASS;
import static galecrest.core.units.QuantityKind.SHARE;
import static galecrest.core.units.QuantityKind.STIFFNESS;
import static galecrest.core.units.QuantityKind.TURNS;
import static galecrest.core.units.QuantityKind.VOLUME;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Corner weights, corrected for what was aboard, and the turns of the perches that bring the cross to its target. */
public final class CornerWeightsGauge implements Gauge {
    private static final double HEAVIEST_CORNER = 3_000;
    /** Pads that say so much less or more than the car is known to weigh are mistaken. */
    private static final double MISTAKEN = 0.25;

    private static final double TOLERANCE = 0.003;
    private static final double MOST_TURNS = 12;
    /** Petrol at 15 °C lies between 720 and 775 kg/m³ (EN 228). */
    private static final double PETROL = 745;

    @Override
    public String name() {
        return "corner-weights";
    }

    @Override
    public String title() {
        return "Corner weights";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return "cross " + answer.said("cross") + ", " + answer.said("total");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.corners("pads", MASS).must(),
                GaugeField.quantity("known mass", MASS).ofTheCar().hint("finds a pad that is silent"),
                GaugeField.quantity("wheelbase", LENGTH).ofTheCar(),
                GaugeField.quantity("front track", LENGTH).ofTheCar(),
                GaugeField.quantity("rear track", LENGTH).ofTheCar(),
                GaugeField.corners("wheel rate", STIFFNESS).ofTheCar().hint("spring rate × motion ratio²"),
                GaugeField.corners("tyre rate", STIFFNESS).ofTheCar(),
                GaugeField.quantity("front bar", STIFFNESS).hint("only where it is hooked"),
                GaugeField.quantity("rear bar", STIFFNESS).hint("only where it is hooked"),
                GaugeField.corners("motion ratio", QuantityKind.NUMBER).ofTheCar(),
                GaugeField.corners("pitch", LENGTH).ofTheCar().hint("of the perch's thread"),
                GaugeField.quantity("target", SHARE).ofTheCar(),
                GaugeField.quantity("tolerance", SHARE).ofTheCar(),
                GaugeField.rows(
                                "correct",
                                GaugeField.text("what"),
                                GaugeField.flag("take out"),
                                GaugeField.quantity("volume", VOLUME),
                                GaugeField.quantity("density", DENSITY),
                                GaugeField.quantity("mass", MASS),
                                GaugeField.quantity("x", LENGTH).must().called("Behind the front axle"),
                                GaugeField.quantity("y", LENGTH).called("To the left"))
                        .called("Fuel, driver or ballast to add or take out"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double[] pads = CornerFields.four(request, "pads", MASS, 0.1, HEAVIEST_CORNER);
        known(request, pads);
        Optional<SpringPlatform> car = request.has("wheelbase") ? Optional.of(car(request)) : Optional.empty();
        CornerWeights weights = corrected(request, CornerWeights.of(pads), car);
        double target = request.quantityOr("target", SHARE, Double.NaN, 0.3, 0.7);
        double tolerance = request.quantityOr("tolerance", SHARE, TOLERANCE, 0.0001, 0.05);
        double[] ratio = CornerFields.fourOr(request, "motion ratio", QuantityKind.NUMBER, 1, 0.2, 3);
        double[] pitch = CornerFields.fourOr(request, "pitch", LENGTH, 0.002, 0.0002, 0.01);
        if (!Double.isNaN(target) && car.isEmpty() && !request.has("wheelbase")) {
            request.wrong("wheelbase", "is needed for turns: with tracks and wheel rates it says what a turn does.");
        }
        request.done();
        GaugeAnswer answer = new GaugeAnswer(request.system());
        figures(answer, weights);
        if (!Double.isNaN(target)) {
            judge(answer, weights, target, tolerance);
            turns(answer, new PerchSolver(weights, car.orElseThrow(), ratio, pitch), target, tolerance);
        }
        return answer.put(
                "before",
                List.of(
                        "Pads level with each other within 1 mm.",
                        "Bars unhooked, tyre pressures set, driver or ballast in, fuel as on the sheet.",
                        "Settle the car: roll it, or bounce each corner, before each reading."));
    }

    private static void figures(GaugeAnswer answer, CornerWeights weights) {
        answer.put("pads", MASS, Corner.NAMES, weights.pads())
                .put("total", MASS, weights.total())
                .put("front", SHARE, weights.front())
                .put("left", SHARE, weights.left())
                .put("cross", SHARE, weights.cross())
                .put("other cross", SHARE, weights.otherCross())
                .put("diagonal difference", MASS, weights.diagonalDifference());
    }

    private static void judge(GaugeAnswer answer, CornerWeights weights, double target, double tolerance) {
        boolean within = Math.abs(weights.cross() - target) <= tolerance;
        answer.put("within tolerance", within)
                .put(
                        "verdict",
                        String.format(
                                Locale.ROOT,
                                "Cross %s %%, wanted %.1f ± %.1f %%: %s.",
                                judged(weights.cross(), target, tolerance),
                                100 * target,
                                100 * tolerance,
                                within ? "within tolerance" : weights.cross() < target ? "too low" : "too high"));
    }

    /** The cross in percent, with a digit more where one alone would put it on the other side of its tolerance. */
    private static String judged(double cross, double target, double tolerance) {
        String one = String.format(Locale.ROOT, "%.1f", 100 * cross);
        boolean within = Math.abs(cross - target) <= tolerance;
        boolean asShown = Math.abs(Double.parseDouble(one) - 100 * target) <= 100 * tolerance + 1e-9;
        return within == asShown ? one : String.format(Locale.ROOT, "%.2f", 100 * cross);
    }

    private static void turns(GaugeAnswer answer, PerchSolver solver, double target, double tolerance) {
        answer.put("exact turns", TURNS, Corner.NAMES, solver.exact(target));
        Optional<PerchSolver.Solution> found = solver.quarters(target, tolerance);
        if (found.isEmpty()) {
            answer.put(
                    "advice",
                    "No quarter turns bring the cross within its tolerance: one quarter does more than that. Turn by less, or"
                            + " allow a wider tolerance.");
            return;
        }
        PerchSolver.Solution solution = found.get();
        if (Arrays.stream(solution.turns()).allMatch(t -> t == 0)) {
            answer.put("advice", "As near as quarter turns bring it: leave the perches as they are.");
            return;
        }
        answer.put("turns", TURNS, Corner.NAMES, solution.turns())
                .put("raise", LENGTH, Corner.NAMES, solver.raised(solution.turns()))
                .put("then", MASS, Corner.NAMES, solution.then().pads())
                .put("then cross", SHARE, solution.then().cross())
                .put("height change", LENGTH, Corner.NAMES, solution.height())
                .put(
                        "advice",
                        Arrays.stream(solution.turns()).anyMatch(t -> Math.abs(t) > MOST_TURNS)
                                ? "More than " + (int) MOST_TURNS
                                        + " turns: look for a bent or wrong spring, or a bar still"
                                        + " hooked, before turning so far."
                                : String.format(
                                        Locale.ROOT,
                                        "Quarter turns to %.1f %%; ride height stays as it is on average, within %s at each wheel.",
                                        100 * solution.then().cross(),
                                        QuantityText.say(LENGTH, solution.mostHeight(), answer.system())));
    }

    /** The car as the request describes it: rates either at the wheel, or at the spring with its motion ratio. */
    private static SpringPlatform car(GaugeRequest request) {
        double wheelbase = request.quantity("wheelbase", LENGTH, 0.8, 8);
        double front = request.quantity("front track", LENGTH, 0.5, 3);
        double rear = request.quantityOr("rear track", LENGTH, front, 0.5, 3);
        double[] wheel = CornerFields.four(request, "wheel rate", STIFFNESS, 500, 2e6);
        double[] tyre = CornerFields.fourOr(request, "tyre rate", STIFFNESS, Double.POSITIVE_INFINITY, 10_000, 2e6);
        double frontBar = request.quantityOr("front bar", STIFFNESS, 0, 0, 1e6);
        double rearBar = request.quantityOr("rear bar", STIFFNESS, 0, 0, 1e6);
        return SpringPlatform.of(wheelbase, front, rear, wheel, tyre, frontBar, rearBar);
    }

    private static void known(GaugeRequest request, double[] pads) {
        double known = request.quantityOr("known mass", MASS, Double.NaN, 50, 4 * HEAVIEST_CORNER);
        double total = Arrays.stream(pads).sum();
        if (Math.abs(total - known) > MISTAKEN * known) {
            request.wrong(
                    "pads",
                    "add up to " + QuantityText.say(MASS, total, request.system()) + ", and the car weighs about "
                            + QuantityText.say(MASS, known, request.system())
                            + ". Is a pad silent, or not nulled, or in another unit?");
        }
    }

    /** What was aboard and should not have been, or the other way round, with where it is. */
    private static CornerWeights corrected(GaugeRequest request, CornerWeights weights, Optional<SpringPlatform> car) {
        double[] pads = weights.pads();
        for (GaugeRequest row : request.rows("correct")) {
            row.text("what");
            boolean out = row.flag("take out");
            double volume = row.quantityOr("volume", VOLUME, Double.NaN, 0, 1);
            double density = row.quantityOr("density", DENSITY, PETROL, 500, 2_000);
            double said = row.has("volume")
                    ? row.quantityOr("mass", MASS, Double.NaN, 0, 2_000)
                    : row.quantity("mass", MASS, 0, 2_000);
            if (row.has("volume") && row.has("mass")) {
                row.wrong("mass", "is said twice: by the volume, or as a mass.");
            }
            double mass = row.has("volume") ? volume * density : said;
            double x = row.quantity("x", LENGTH, -2, 8);
            double y = row.quantityOr("y", LENGTH, 0, -2, 2);
            if (car.isEmpty()) {
                request.wrong("wheelbase", "is needed for a correction, with tracks and wheel rates.");
            } else if (!Double.isNaN(mass + x + y) && car.get().known()) {
                SpringPlatform.Change change = car.get().loaded(out ? -mass : mass, x, y);
                Arrays.setAll(pads, i -> pads[i] + change.load()[i] / 9.80665);
            }
        }
        return CornerWeights.of(pads);
    }
}
