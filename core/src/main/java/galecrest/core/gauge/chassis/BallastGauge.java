package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.MASS;
import static galecrest.core.units.QuantityKind.SHARE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Ballast to the least mass of a class: how much goes where. */
public final class BallastGauge implements Gauge {
    @Override
    public String name() {
        return "ballast";
    }

    @Override
    public String title() {
        return "Ballast and class weight";
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("mass", MASS).must().hint("of the car without ballast"),
                GaugeField.quantity("front", SHARE).must(),
                GaugeField.quantity("left", SHARE),
                GaugeField.quantity("driver", MASS),
                GaugeField.quantity("burnt in the race", MASS).hint("fuel that is gone when it is weighed"),
                GaugeField.quantity("class mass", MASS).must().ofTheCar(),
                GaugeField.quantity("wheelbase", LENGTH).must().ofTheCar(),
                GaugeField.quantity("track", LENGTH).ofTheCar(),
                GaugeField.quantity("target front", SHARE).ofTheCar(),
                GaugeField.quantity("target left", SHARE).ofTheCar(),
                GaugeField.quantity("tolerance", SHARE).ofTheCar(),
                GaugeField.rows(
                                "spots",
                                GaugeField.text("name"),
                                GaugeField.quantity("limit", MASS).must().called("At most"),
                                GaugeField.quantity("x", LENGTH).must().called("Behind the front axle"),
                                GaugeField.quantity("y", LENGTH).called("To the left"),
                                GaugeField.quantity("height", LENGTH).called("Above the ground"))
                        .must()
                        .ofTheCar()
                        .called("Where ballast may go"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double mass = request.quantity("mass", MASS, 50, 10_000);
        double front = request.quantity("front", SHARE, 0.2, 0.8);
        double left = request.quantityOr("left", SHARE, 0.5, 0.2, 0.8);
        double wheelbase = request.quantity("wheelbase", LENGTH, 0.8, 8);
        double track = request.quantityOr("track", LENGTH, 1.5, 0.5, 3);
        double least = request.quantity("class mass", MASS, 50, 10_000);
        double driver = request.quantityOr("driver", MASS, 0, 0, 250);
        double burnt = request.quantityOr("burnt in the race", MASS, 0, 0, 300);
        double targetFront = request.quantityOr("target front", SHARE, Double.NaN, 0.2, 0.8);
        double targetLeft = request.quantityOr("target left", SHARE, Double.NaN, 0.2, 0.8);
        double tolerance = request.quantityOr("tolerance", SHARE, 0.005, 0.0005, 0.1);
        List<Ballast.Spot> spots = new ArrayList<>();
        for (GaugeRequest row : request.rows("spots")) {
            String name = row.text("name");
            spots.add(new Ballast.Spot(
                    name.isEmpty() ? "spot " + (spots.size() + 1) : name,
                    row.quantity("limit", MASS, 0, 500),
                    row.quantity("x", LENGTH, -2, 8),
                    row.quantityOr("y", LENGTH, 0, -2, 2),
                    row.quantityOr("height", LENGTH, 0.2, 0, 2)));
        }
        if (spots.isEmpty()) {
            request.wrong("spots", "are needed: each with the most that may go there and where it is.");
        }
        request.done();
        double weighed = mass + driver - burnt;
        Ballast ballast = new Ballast(weighed, front, left, wheelbase, track);
        GaugeAnswer answer = new GaugeAnswer(request.system()).put("as weighed after the race", MASS, weighed);
        double missing = ballast.missing(least);
        answer.put("needed", MASS, missing);
        Optional<Ballast.Placed> placed = ballast.place(spots, least, targetFront, targetLeft);
        if (placed.isEmpty()) {
            double room = spots.stream().mapToDouble(Ballast.Spot::limit).sum();
            return answer.put("feasible", false)
                    .put(
                            "verdict",
                            "The spots take " + QuantityText.say(MASS, room, request.system()) + ", and "
                                    + QuantityText.say(MASS, missing, request.system()) + " are needed: "
                                    + QuantityText.say(MASS, missing - room, request.system())
                                    + " are short. Raise a limit, or name another spot.");
        }
        return said(answer, spots, placed.get(), new double[] {targetFront, targetLeft}, tolerance);
    }

    private static GaugeAnswer said(
            GaugeAnswer answer, List<Ballast.Spot> spots, Ballast.Placed placed, double[] targets, double tolerance) {
        List<GaugeAnswer> rows = new ArrayList<>();
        for (int i = 0; i < spots.size(); i++) {
            rows.add(answer.row()
                    .put("name", spots.get(i).name())
                    .put("mass", MASS, placed.masses()[i])
                    .put("full", placed.masses()[i] >= spots.get(i).limit() - 1e-6));
        }
        boolean frontGood = Double.isNaN(targets[0]) || Math.abs(placed.front() - targets[0]) <= tolerance;
        boolean leftGood = Double.isNaN(targets[1]) || Math.abs(placed.left() - targets[1]) <= tolerance;
        return answer.put("feasible", frontGood && leftGood)
                .rows("spots", rows)
                .put("total", MASS, placed.total())
                .put("front", SHARE, placed.front())
                .put("left", SHARE, placed.left())
                .put(
                        "verdict",
                        frontGood && leftGood
                                ? "Meets the class and stands as wanted. Bolt ballast as the rule book says; it is inspected."
                                : "Meets the class, but these spots cannot bring the "
                                        + (frontGood ? "left" : leftGood ? "front" : "front and the left")
                                        + " to its target: this is as near as can be. A spot further out would.");
    }
}
