package galecrest.core.gauge.track;

import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.SHARE;
import static galecrest.core.units.QuantityKind.TEMPERATURE;

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
import org.jspecify.annotations.Nullable;

/**
 * Laps by run: best, mean, spread, consistency; what each run gained on the one before it, and whether that is more than the
 * laps scatter anyway; and the sets of tyres against each other. Runs in unlike conditions are compared and flagged.
 */
public final class LapsGauge implements Gauge {
    private enum Conditions {
        DRY,
        DAMP,
        WET
    }

    /** Runs on a track that is warmer or colder by more than this are not alike: common practice, K. */
    private static final double UNLIKE_KELVIN = 8;
    /** A difference within twice its standard error happens by chance about once in twenty. */
    private static final double CHANCE = 2;

    private static final double COLDEST = 223;
    private static final double HOTTEST = 363;

    @Override
    public String name() {
        return "laps";
    }

    @Override
    public String title() {
        return "Laps";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(GaugeField.rows(
                        "runs",
                        GaugeField.text("run").must().hint("run 2"),
                        GaugeField.text("laps").must().hint("1:42.35 1:42.10 1:41.98"),
                        GaugeField.text("set").hint("set 21"),
                        GaugeField.text("changed").hint("rear bar one hole softer"),
                        GaugeField.choice("conditions", "dry", "damp", "wet"),
                        GaugeField.quantity("track", TEMPERATURE).called("Track temperature"))
                .must());
    }

    /** A run as it was asked about. */
    private record Asked(String name, LapRun laps, String set, String changed, Conditions conditions, double track) {
        /** What is unlike another run, in words; empty where nothing is. */
        String unlike(Asked other) {
            if (conditions != other.conditions) {
                return said(conditions) + " against " + said(other.conditions);
            }
            double warmer = track - other.track;
            return Math.abs(warmer) > UNLIKE_KELVIN
                    ? String.format(Locale.ROOT, "track %.0f K %s", Math.abs(warmer), warmer > 0 ? "warmer" : "colder")
                    : "";
        }

        private static String said(Conditions conditions) {
            return conditions.name().toLowerCase(Locale.ROOT);
        }
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        List<Asked> runs = new ArrayList<>();
        for (GaugeRequest row : request.rows("runs")) {
            run(row, runs);
        }
        if (runs.isEmpty()) {
            request.wrong("runs", "are needed, each with its laps.");
        }
        request.done();
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> rows = new ArrayList<>();
        for (int i = 0; i < runs.size(); i++) {
            rows.add(row(answer.row(), runs.get(i), i == 0 ? null : runs.get(i - 1)));
        }
        Asked best = runs.stream()
                .min((a, b) -> Double.compare(a.laps().best(), b.laps().best()))
                .orElseThrow();
        return answer.put("best", NUMBER, best.laps().best())
                .put(
                        "verdict",
                        "best " + LapTime.say(best.laps().best()) + ", " + best.name()
                                + (best.set().isEmpty() ? "" : ", " + best.set()))
                .rows("runs", rows)
                .rows("sets", sets(answer, runs));
    }

    private static void run(GaugeRequest row, List<Asked> runs) {
        String name = row.text("run");
        if (name.isEmpty()) {
            row.wrong("run", "is needed: which one it is.");
        }
        double[] laps = new double[0];
        try {
            laps = LapTime.readAll(row.text("laps"));
            if (laps.length == 0) {
                row.wrong("laps", "are needed, such as 1:42.35 1:42.10.");
            }
        } catch (IllegalArgumentException unreadable) {
            row.wrong("laps", "cannot be read: " + unreadable.getMessage());
        }
        String set = row.text("set");
        String changed = row.text("changed");
        Conditions conditions = row.choice("conditions", Conditions.class);
        double track = row.quantityOr("track", TEMPERATURE, Double.NaN, COLDEST, HOTTEST);
        if (laps.length > 0) {
            runs.add(new Asked(name, LapRun.of(laps), set, changed, conditions, track));
        }
    }

    private static GaugeAnswer row(GaugeAnswer row, Asked run, @Nullable Asked before) {
        LapRun laps = run.laps();
        row.put("run", run.name())
                .put("laps", laps.laps().length + (laps.slow() == 0 ? "" : " and " + laps.slow() + " slow"))
                .put("best", LapTime.say(laps.best()))
                .put("mean", LapTime.say(laps.mean()))
                .put("spread", String.format(Locale.ROOT, "%.3f s", laps.spread()))
                .put("consistency", SHARE, laps.consistency());
        if (before == null) {
            return row;
        }
        double gain = before.laps().mean() - laps.mean();
        double error = laps.errorAgainst(before.laps());
        String unlike = run.unlike(before);
        row.put("gain", NUMBER, gain)
                .put("gain share", SHARE, gain / before.laps().mean())
                .put("against the run before", said(gain, error, run.changed()))
                .put("good", unlike.isEmpty());
        if (!unlike.isEmpty()) {
            row.put("unlike", "not alike: " + unlike);
        }
        return row;
    }

    /** What a gain is worth, in words. */
    private static String said(double gain, double error, String changed) {
        String by = changed.isEmpty() ? "" : " by " + changed;
        String amount = String.format(Locale.ROOT, "%.3f s", Math.abs(gain));
        if (Math.abs(gain) <= CHANCE * error) {
            return amount + (gain >= 0 ? " faster" : " slower") + by + ": no more than the laps scatter anyway";
        }
        return amount + (gain > 0 ? " faster" : " slower") + by;
    }

    private static List<GaugeAnswer> sets(GaugeAnswer answer, List<Asked> runs) {
        Map<String, List<Asked>> bySet = new LinkedHashMap<>();
        runs.stream().filter(r -> !r.set().isEmpty()).forEach(r -> bySet.computeIfAbsent(
                        r.set(), s -> new ArrayList<>())
                .add(r));
        return bySet.entrySet().stream()
                .map(e -> {
                    double[] laps = e.getValue().stream()
                            .flatMapToDouble(r -> Arrays.stream(r.laps().laps()))
                            .toArray();
                    LapRun all = new LapRun(laps, 0);
                    return answer.row()
                            .put("set", e.getKey())
                            .put("laps", String.valueOf(laps.length))
                            .put("best", LapTime.say(all.best()))
                            .put("mean", LapTime.say(all.mean()));
                })
                .toList();
    }
}
