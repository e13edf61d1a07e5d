package galecrest.core.gauge.electrics;

import static galecrest.core.units.QuantityKind.CURRENT;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.VOLTAGE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** The first power on a loom, circuit by circuit: the current that is expected of each, and the one that is seen. */
public final class PowerUpGauge implements Gauge {
    /** So far from what is expected a circuit may be: common practice. */
    private static final double SHARE_OFF = 0.25;
    /** And so far in any case: what a clamp meter does not tell, A. */
    private static final double AMPERES_OFF = 0.3;

    @Override
    public String name() {
        return "power-up";
    }

    @Override
    public String title() {
        return "Power-up";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("battery", VOLTAGE).hint("12.6 V, before anything is on"),
                GaugeField.quantity("at rest", CURRENT).hint("with everything off: 0 A or close to it"),
                GaugeField.rows(
                                "circuits",
                                GaugeField.text("circuit").must().hint("fuel pump"),
                                GaugeField.quantity("expected", CURRENT).must(),
                                GaugeField.quantity("fuse", CURRENT).hint("the one that is in now"),
                                GaugeField.quantity("seen", CURRENT).hint("blank until it was on"),
                                GaugeField.text("by"))
                        .must()
                        .ofTheCar());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double battery = request.quantityOr("battery", VOLTAGE, Double.NaN, 0, 60);
        double rest = request.quantityOr("at rest", CURRENT, Double.NaN, 0, 100);
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> rows = new ArrayList<>();
        Set<String> names = new HashSet<>();
        String next = "";
        String first = "";
        int open = 0;
        int bad = 0;
        for (GaugeRequest row : request.rows("circuits")) {
            String circuit = row.text("circuit");
            if (circuit.isEmpty() || !names.add(circuit)) {
                row.wrong("circuit", circuit.isEmpty() ? "is needed: what it feeds." : "is there twice.");
            }
            double expected = row.quantity("expected", CURRENT, 0, 300);
            double fuse = row.quantityOr("fuse", CURRENT, Double.NaN, 0.1, 500);
            double seen = row.quantityOr("seen", CURRENT, Double.NaN, 0, 500);
            GaugeAnswer line = answer.row().put("circuit", circuit).put("expected", CURRENT, expected);
            if (Double.isNaN(seen)) {
                next = next.isEmpty() ? circuit : next;
                open++;
                line.put("said", "not on yet");
            } else {
                String said = judged(expected, seen, fuse);
                boolean good = said.equals("as expected");
                first = first.isEmpty() && !good ? circuit + ": " + said : first;
                bad += good ? 0 : 1;
                line.put("seen", CURRENT, seen).put("good", good).put("said", said);
            }
            rows.add(line.put("by", row.text("by")));
        }
        if (rows.isEmpty()) {
            request.wrong("circuits", "are needed, in the order in which they are switched on.");
        }
        request.done();
        if (!Double.isNaN(rest) && rest > AMPERES_OFF) {
            bad++;
            first = QuantityText.say(CURRENT, rest, answer.system()) + " flow with everything off";
        }
        if (!Double.isNaN(battery)) {
            answer.put("battery", VOLTAGE, battery);
        }
        return answer.put("circuits on", NUMBER, rows.size() - open)
                .put("good", open + bad == 0)
                .put(
                        "verdict",
                        bad > 0
                                ? first + (bad > 1 ? "; and " + (bad - 1) + " more" : "")
                                : open > 0
                                        ? rows.size() - open + " of " + rows.size() + " on; next: " + next
                                        : "all " + rows.size() + " circuits as expected")
                .rows("circuits", rows)
                .put(
                        "before",
                        List.of(
                                "A small fuse at the battery first, an extinguisher at hand, the isolator within reach.",
                                "One circuit at a time; warm or smelling: isolator, then look."));
    }

    private static String judged(double expected, double seen, double fuse) {
        if (seen > fuse) {
            return "more than its fuse";
        }
        double off = Math.max(AMPERES_OFF, SHARE_OFF * expected);
        return seen > expected + off
                ? "more than expected: something else hangs on it, or it drags"
                : seen < expected - off ? "less than expected: not all of it is on, or a joint is bad" : "as expected";
    }
}
