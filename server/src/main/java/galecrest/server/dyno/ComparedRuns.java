package galecrest.server.dyno;

import galecrest.core.dyno.RunComparison;
import galecrest.core.gauge.power.Air;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The runs that were compared, by what, and what came of it.
 *
 * @param standard the air to which the power is corrected
 * @param confidence by which a difference is called real, 0.5 to 0.9999
 * @param comparisons so many things are compared with the same runs
 * @param worth the change in power that is worth finding, in W; NaN where nobody said
 */
record ComparedRuns(
        CompareRequest form,
        Air.Standard standard,
        double confidence,
        int comparisons,
        double worth,
        List<JudgedRun> before,
        List<JudgedRun> after,
        RunComparison comparison) {
    static final double KILO = 1_000;

    List<JudgedRun> all() {
        return Stream.concat(before.stream(), after.stream()).toList();
    }

    /** What was put on the car, and what was taken off; parted by semicolons where it is more than one thing. */
    String changed() {
        List<String> was = states(before);
        List<String> is = states(after);
        return Stream.concat(
                        is.stream().filter(s -> !was.contains(s)),
                        was.stream().filter(s -> !is.contains(s)).map(s -> "without " + s))
                .collect(Collectors.joining("; "));
    }

    private static List<String> states(List<JudgedRun> runs) {
        return runs.stream().flatMap(j -> j.state().stream()).distinct().toList();
    }

    /** The same as fields of the gauge that is filed in the car's log. */
    Map<String, Object> asked() {
        Map<String, Object> asked = new LinkedHashMap<>();
        String changed = changed();
        // Where nobody said what was changed, the gauge asks for it and nothing is filed.
        asked.put("changed", changed.isEmpty() ? "" : changed + ", " + form.from() + " to " + form.to() + " rpm");
        List<Map<String, Object>> rows = new ArrayList<>();
        rows(rows, "before", before, comparison.before());
        rows(rows, "after", after, comparison.after());
        asked.put("runs", rows);
        put(asked, "confidence", form.confidence());
        put(asked, "worth", form.worth());
        if (form.comparisons() != null) {
            asked.put("comparisons", form.comparisons());
        }
        return asked;
    }

    private void rows(List<Map<String, Object>> rows, String side, List<JudgedRun> runs, double[] power) {
        for (int i = 0; i < power.length; i++) {
            RunConditionsRequest c = runs.get(i).run().conditions();
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("side", side);
            row.put("power", String.format(Locale.ROOT, "%.4f kW", power[i] / KILO));
            put(row, "gear", c.gear());
            put(row, "strap", c.straps());
            put(row, "fuel", c.fuel());
            row.put("correction", standard.name().toLowerCase(Locale.ROOT).replace('_', ' '));
            rows.add(row);
        }
    }

    private static void put(Map<String, Object> fields, String name, @Nullable String text) {
        if (text != null && !text.isBlank()) {
            fields.put(name, text.strip());
        }
    }
}
