package galecrest.core.gauge.power;

import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.POWER;
import static galecrest.core.units.QuantityKind.SHARE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Whether a change made power: repeat runs before it and after it, and the verdict <i>real</i>, <i>inside the noise</i> or <i>not
 * enough runs</i>. Unlike runs are refused with the reason, and two changes at once are marked.
 */
public final class PowerCompareGauge implements Gauge {
    private static final double CONFIDENCE = 0.95;
    /** What must be alike, or the road measures that. */
    private static final List<String> ALIKE = List.of("gear", "tyre pressure", "strap", "correction", "fuel");

    private enum Side {
        BEFORE,
        AFTER
    }

    @Override
    public String name() {
        return "power-compare";
    }

    @Override
    public String title() {
        return "Compare power runs";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.text("changed").must().hint("one thing; parted by ; where it was more"),
                GaugeField.rows(
                                "runs",
                                GaugeField.choice("side", "before", "after"),
                                GaugeField.quantity("power", POWER)
                                        .must()
                                        .hint("the mean over a range tells more than the peak"),
                                GaugeField.text("gear").hint("4th"),
                                GaugeField.text("tyre pressure").hint("2.4 bar"),
                                GaugeField.text("strap").hint("three clicks"),
                                GaugeField.text("correction").hint("ISO 1585"),
                                GaugeField.text("fuel").hint("98, from the can"))
                        .must(),
                GaugeField.quantity("worth", POWER).called("Smallest change that matters"),
                GaugeField.quantity("confidence", SHARE).hint("95 % where nothing is said"),
                GaugeField.quantity("comparisons", NUMBER).hint("how many are made at once, such as speed bins"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        String changed = request.text("changed");
        if (changed.isEmpty()) {
            request.wrong("changed", "is needed: what was changed between the runs.");
        }
        Map<Side, List<Double>> runs = new LinkedHashMap<>();
        Map<String, String> first = new LinkedHashMap<>();
        for (GaugeRequest row : request.rows("runs")) {
            Side side = row.choice("side", Side.class);
            runs.computeIfAbsent(side, s -> new ArrayList<>()).add(row.quantity("power", POWER, 100, 5e6));
            alike(row, first);
        }
        if (runs.size() < 2) {
            request.wrong("runs", "are needed before the change and after it.");
        }
        double worth = request.quantityOr("worth", POWER, Double.NaN, 1, 1e6);
        double confidence = request.quantityOr("confidence", SHARE, CONFIDENCE, 0.5, 0.9999);
        int comparisons = request.has("comparisons") ? request.whole("comparisons", 1, 1000) : 1;
        request.done();
        double[] before = of(runs, Side.BEFORE);
        double[] after = of(runs, Side.AFTER);
        PowerComparison comparison = PowerComparison.of(before, after, confidence, comparisons, worth);
        GaugeAnswer answer = new GaugeAnswer(request.system())
                .put("difference", POWER, comparison.difference())
                .put("before", POWER, PowerComparison.mean(before))
                .put("after", POWER, PowerComparison.mean(after));
        if (comparison.error() > 0) {
            answer.put("plus or minus", POWER, comparison.least())
                    .put(
                            "change that so many runs find four times in five",
                            POWER,
                            PowerComparison.findable(
                                    PowerComparison.scatter(before, after),
                                    before.length,
                                    after.length,
                                    confidence,
                                    comparisons));
            int needed = Double.isNaN(worth)
                    ? 0
                    : PowerComparison.needed(PowerComparison.scatter(before, after), worth, confidence);
            if (needed > 0) {
                answer.put("runs needed on each side", NUMBER, needed);
            }
        }
        List<String> changes = Arrays.stream(changed.split(";"))
                .map(String::strip)
                .filter(c -> !c.isEmpty())
                .toList();
        answer.put("one change", changes.size() == 1);
        return answer.put("verdict", verdict(comparison, changes, confidence));
    }

    private static void alike(GaugeRequest row, Map<String, String> first) {
        for (String what : ALIKE) {
            String said = row.text(what);
            String before = said.isEmpty() ? null : first.putIfAbsent(what, said);
            if (before != null && !before.equalsIgnoreCase(said)) {
                row.wrong(
                        what, "is " + said + " where an earlier run had " + before + ": unlike runs are not compared.");
            }
        }
    }

    private static double[] of(Map<Side, List<Double>> runs, Side side) {
        return runs.getOrDefault(side, List.of()).stream()
                .mapToDouble(Double::doubleValue)
                .toArray();
    }

    private static String verdict(PowerComparison comparison, List<String> changes, double confidence) {
        String sure = String.format(Locale.ROOT, "%.0f %% sure", 100 * confidence);
        String difference = String.format(Locale.ROOT, "%+.1f kW", comparison.difference() / 1000);
        String said =
                switch (comparison.verdict()) {
                    case REAL ->
                        String.format(Locale.ROOT, "real: %s, ± %.1f, %s", difference, comparison.least() / 1000, sure);
                    case INSIDE_THE_NOISE ->
                        String.format(
                                Locale.ROOT,
                                "inside the noise: %s, and less than %.1f kW these runs could not show, %s",
                                difference,
                                comparison.least() / 1000,
                                sure);
                    case NOT_ENOUGH_RUNS ->
                        comparison.error() > 0
                                ? String.format(
                                        Locale.ROOT,
                                        "not enough runs: less than %.1f kW these could not show",
                                        comparison.least() / 1000)
                                : "not enough runs: two or more on each side that are not copies of each other";
                };
        return changes.size() > 1
                ? said + "; " + changes.size() + " things were changed at once, so nothing tells which of them it was"
                : said;
    }
}
