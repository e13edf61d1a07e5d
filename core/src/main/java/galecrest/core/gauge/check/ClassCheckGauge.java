package galecrest.core.gauge.check;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.List;

/**
 * What a class limits against what the car has: each line met, missed by so much, or not measured. The tolerance is the
 * class's own and widens its limit; the rule book and the scrutineer decide.
 */
public final class ClassCheckGauge implements Gauge {
    private enum Kind {
        LENGTH(QuantityKind.LENGTH),
        MASS(QuantityKind.MASS),
        ANGLE(QuantityKind.ANGLE),
        PRESSURE(QuantityKind.PRESSURE),
        VOLUME(QuantityKind.VOLUME);

        private final QuantityKind quantity;

        Kind(QuantityKind quantity) {
            this.quantity = quantity;
        }
    }

    @Override
    public String name() {
        return "class-check";
    }

    @Override
    public String title() {
        return "Class check";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.text("class").ofTheCar(),
                GaugeField.rows(
                                "limits",
                                GaugeField.text("measure").must().hint("rear overhang"),
                                GaugeField.choice("kind", "length", "mass", "angle", "pressure", "volume"),
                                GaugeField.text("least"),
                                GaugeField.text("most"),
                                GaugeField.text("tolerance"),
                                GaugeField.text("measured"))
                        .must()
                        .ofTheCar());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        String name = request.text("class");
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> rows = new ArrayList<>();
        int missed = 0;
        int unmeasured = 0;
        for (GaugeRequest row : request.rows("limits")) {
            Line line = line(row);
            String judged = line.judged(request);
            missed += line.missedBy() > 0 ? 1 : 0;
            unmeasured += Double.isNaN(line.measured()) ? 1 : 0;
            GaugeAnswer said = answer.row().put("measure", line.measure()).put("limit", line.limit(request));
            if (!Double.isNaN(line.measured())) {
                said.put("measured", line.kind(), line.measured());
            }
            rows.add(said.put("good", !Double.isNaN(line.measured()) && line.missedBy() <= 0)
                    .put("judged", judged));
        }
        if (rows.isEmpty()) {
            request.wrong("limits", "are needed: what the class limits, each with its least or its most.");
        }
        request.done();
        return answer.put("class", name)
                .put("good", missed + unmeasured == 0)
                .put("verdict", verdict(rows.size(), missed, unmeasured))
                .rows("limits", rows)
                .put(
                        "before",
                        List.of("The rule book of the event and its scrutineer decide; this is our own look before."));
    }

    private static String verdict(int all, int missed, int unmeasured) {
        if (missed > 0) {
            return missed + " of " + all + " missed" + (unmeasured > 0 ? ", " + unmeasured + " not measured" : "");
        }
        return unmeasured > 0 ? unmeasured + " of " + all + " not measured" : "all " + all + " met";
    }

    /** A line of the class; NaN is what it does not limit, or what was not measured. */
    private record Line(
            String measure, QuantityKind kind, double least, double most, double tolerance, double measured) {
        double missedBy() {
            double below = least - tolerance - measured;
            double above = measured - most - tolerance;
            return Math.max(Double.isNaN(below) ? 0 : below, Double.isNaN(above) ? 0 : above);
        }

        String judged(GaugeRequest request) {
            if (Double.isNaN(measured)) {
                return "not measured";
            }
            // A micrometre or a tenth of a gramme is what computing leaves of nought.
            return missedBy() > 1e-6 ? "missed by " + QuantityText.sayBoth(kind, missedBy(), request.system()) : "met";
        }

        String limit(GaugeRequest request) {
            String from = Double.isNaN(least) ? "" : "at least " + QuantityText.say(kind, least, request.system());
            String to = Double.isNaN(most) ? "" : "at most " + QuantityText.say(kind, most, request.system());
            String both = from.isEmpty() || to.isEmpty() ? from + to : from + ", " + to;
            return tolerance == 0
                    ? both
                    : both + ", " + QuantityText.say(kind, tolerance, request.system()) + " more allowed";
        }
    }

    private static Line line(GaugeRequest row) {
        String measure = row.text("measure");
        if (measure.isEmpty()) {
            row.wrong("measure", "is needed: what is limited.");
        }
        QuantityKind kind = row.choice("kind", Kind.class).quantity;
        double least = row.quantityOr("least", kind, Double.NaN, -1e6, 1e7);
        double most = row.quantityOr("most", kind, Double.NaN, -1e6, 1e7);
        double tolerance = row.quantityOr("tolerance", kind, 0, 0, 1e6);
        double measured = row.quantityOr("measured", kind, Double.NaN, -1e6, 1e7);
        if (Double.isNaN(least) && Double.isNaN(most) && !row.has("least") && !row.has("most")) {
            row.wrong("least", "or the most is needed: a line without a limit checks nothing.");
        } else if (least > most) {
            row.wrong("most", "is less than the least.");
        }
        return new Line(measure, kind, least, most, tolerance, measured);
    }
}
