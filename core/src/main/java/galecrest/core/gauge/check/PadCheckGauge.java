package galecrest.core.gauge.check;

import static galecrest.core.units.QuantityKind.MASS;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Which scale pad is off: the car weighed twice, with the pads changed round in between; see {@link SwapCheck}. */
public final class PadCheckGauge implements Gauge {
    private static final double HEAVIEST = 3_000;

    @Override
    public String name() {
        return "pad-check";
    }

    @Override
    public String title() {
        return "Check of the pads";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.rows(
                                "corners",
                                GaugeField.text("corner").hint("left front"),
                                GaugeField.text("pad").must().hint("A"),
                                GaugeField.quantity("reads", MASS).must(),
                                GaugeField.text("then pad").must().hint("D"),
                                GaugeField.quantity("then reads", MASS).must())
                        .must(),
                GaugeField.quantity("tolerance", MASS).ofTheCar().hint("0.5 kg if not said"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        List<GaugeRequest> rows = request.rows("corners");
        List<String> first = new ArrayList<>();
        List<String> then = new ArrayList<>();
        double[] read = new double[rows.size()];
        double[] readThen = new double[rows.size()];
        for (int i = 0; i < read.length; i++) {
            rows.get(i).text("corner");
            first.add(pad(rows.get(i), "pad"));
            then.add(pad(rows.get(i), "then pad"));
            read[i] = rows.get(i).quantity("reads", MASS, 0.1, HEAVIEST);
            readThen[i] = rows.get(i).quantity("then reads", MASS, 0.1, HEAVIEST);
        }
        double most = request.quantityOr("tolerance", MASS, 0.5, 0.01, 50);
        if (rows.isEmpty()) {
            request.wrong(
                    "corners", "are needed: which pad stood there, what it read, and the same after changing round.");
        } else if (first.stream().distinct().count() < first.size()
                || !first.stream()
                        .sorted()
                        .toList()
                        .equals(then.stream().sorted().toList())) {
            request.wrong("corners", "name the same pads both times, each once.");
        } else if (first.equals(then)) {
            request.wrong("corners", "have the same pads as before: move each to the next corner, then weigh again.");
        }
        request.done();
        SwapCheck check = SwapCheck.of(first, read, then, readThen);
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> pads = new ArrayList<>();
        for (int i = 0; i < first.size(); i++) {
            pads.add(answer.row()
                    .put("pad", first.get(i))
                    .put("reads more by", MASS, check.error()[i])
                    .put("good", Math.abs(check.error()[i]) <= most));
        }
        Optional<Integer> culprit = check.culprit(most);
        boolean good = Arrays.stream(check.error()).allMatch(e -> Math.abs(e) <= most);
        answer.put("good", good)
                .put("verdict", verdict(request, check, culprit, good))
                .rows("pads", pads)
                .put(
                        "before",
                        List.of(
                                "Nothing about the car may change in between: same fuel, same driver, settled both times.",
                                "Moved on by one corner each, all four are compared; changed in pairs, only the two of a pair."));
        return answer;
    }

    private static String pad(GaugeRequest row, String field) {
        String pad = row.text(field);
        if (pad.isEmpty()) {
            row.wrong(field, "is needed: the letter or name of the pad.");
        }
        return pad;
    }

    private static String verdict(GaugeRequest request, SwapCheck check, Optional<Integer> culprit, boolean good) {
        if (good) {
            return "the pads agree";
        }
        return culprit.map(pad -> "pad " + check.names().get(pad) + " reads "
                        + QuantityText.say(MASS, Math.abs(check.error()[pad]), request.system())
                        + (check.error()[pad] > 0 ? " too much" : " too little"))
                .orElse("the pads do not agree; move each on by one corner to find which is off");
    }
}
