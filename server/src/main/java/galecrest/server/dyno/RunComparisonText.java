package galecrest.server.dyno;

import static galecrest.server.dyno.ComparedRuns.KILO;

import galecrest.core.dyno.RunCheck;
import galecrest.core.dyno.RunComparison;
import galecrest.core.gauge.power.Air;
import galecrest.core.gauge.power.PowerComparison;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Says what came of a comparison of runs, and how far that can be relied on. */
final class RunComparisonText {
    private RunComparisonText() {}

    /** The verdict, the difference and what a difference must be to be called real. */
    static String headline(ComparedRuns runs, boolean anyLeftOut) {
        return runs.after().isEmpty() && !anyLeftOut
                ? "Nothing to compare with yet"
                : headline(runs.comparison().range(), runs.form());
    }

    /** What is to be known besides: chance, scatter, drift, air, slip, and what was changed. */
    static List<String> lines(ComparedRuns runs) {
        return runs.after().isEmpty() ? alone(runs) : compared(runs);
    }

    /** Repeat runs before anything is changed: how a run scatters, and how many it takes to judge a change. */
    private static List<String> alone(ComparedRuns runs) {
        double[] power = runs.comparison().before();
        double scatter = PowerComparison.scatter(power, new double[0]);
        if (!(scatter > 0)) {
            return List.of("Drive two or more runs before anything is changed: they tell how a run scatters.");
        }
        double change = Double.isNaN(runs.worth()) ? PowerComparison.mean(power) / 100 : runs.worth();
        int needed = PowerComparison.needed(scatter, change, runs.confidence());
        List<String> lines = new ArrayList<>();
        lines.add(String.format(
                Locale.ROOT,
                "A run scatters by %.1f kW. A change of %.1f kW%s takes %s on each side to be found four times in five.",
                scatter / KILO,
                change / KILO,
                Double.isNaN(runs.worth()) ? " (1 % of the power; say what is worth finding)" : "",
                needed == 0 ? "more runs than anybody drives" : needed + " runs"));
        slip(lines, runs.before());
        return lines;
    }

    private static String headline(PowerComparison range, CompareRequest form) {
        String over = String.format(Locale.ROOT, "from %d to %d rpm", form.from(), form.to());
        return switch (range.verdict()) {
            case REAL ->
                String.format(
                        Locale.ROOT, "Real: %+.1f kW ± %.1f %s", range.difference() / KILO, range.least() / KILO, over);
            case INSIDE_THE_NOISE ->
                String.format(
                        Locale.ROOT,
                        "Inside the noise: %+.1f kW ± %.1f %s",
                        range.difference() / KILO,
                        range.least() / KILO,
                        over);
            case NOT_ENOUGH_RUNS -> "Not enough runs " + over;
        };
    }

    private static List<String> compared(ComparedRuns runs) {
        RunComparison comparison = runs.comparison();
        List<JudgedRun> before = runs.before();
        List<JudgedRun> after = runs.after();
        double confidence = runs.confidence();
        int comparisons = runs.comparisons();
        List<String> lines = new ArrayList<>();
        PowerComparison range = comparison.range();
        double scatter = PowerComparison.scatter(comparison.before(), comparison.after());
        if (Double.isFinite(range.chance())) {
            lines.add("Chance that the runs differ so much by luck alone: " + chance(range.chance()) + "."
                    + (comparisons > 1
                            ? " Held against one in " + Math.round(comparisons / (1 - confidence)) + ", since "
                                    + comparisons + " things are compared."
                            : ""));
        }
        if (before.size() < 2 || after.size() < 2) {
            lines.add("It takes two runs or more on each side, driven alike: before " + before.size() + ", after "
                    + after.size() + ".");
        } else if (scatter > 0) {
            lines.add(String.format(
                    Locale.ROOT,
                    "A run scatters by %.1f kW. %d and %d runs find a change of %.1f kW four times in five; one more on each"
                            + " side would find %.1f.",
                    scatter / KILO,
                    before.size(),
                    after.size(),
                    PowerComparison.findable(scatter, before.size(), after.size(), confidence, comparisons) / KILO,
                    PowerComparison.findable(scatter, before.size() + 1, after.size() + 1, confidence, comparisons)
                            / KILO));
        }
        if (Double.isFinite(comparison.drift())) {
            lines.add(String.format(
                    Locale.ROOT,
                    "The power goes %s by %.1f kW a run without any change: heat, most likely. Drive in turns, before,"
                            + " after, after, before, or it is counted as the change.",
                    comparison.drift() < 0 ? "down" : "up",
                    Math.abs(comparison.drift()) / KILO));
        }
        corrected(lines, runs);
        slip(lines, runs.all());
        List<String> changes = JudgedRun.parts(runs.changed());
        lines.add(
                changes.size() > 1
                        ? changes.size() + " things were changed at once (" + String.join(", ", changes)
                                + "): nothing tells which of them it was."
                        : changes.isEmpty()
                                ? "Say at the runs what was on the car, so that the sheet knows what was changed."
                                : "One thing changed: " + changes.get(0) + ".");
        return lines;
    }

    private static String chance(double chance) {
        long in = Math.round(1 / chance);
        return chance >= 0.2 ? Math.round(100 * chance) + " in 100" : in > 1_000 ? "under 1 in 1000" : "1 in " + in;
    }

    /** The raw difference beside the corrected one. */
    private static void corrected(List<String> lines, ComparedRuns runs) {
        Air.Standard standard = runs.standard();
        RunComparison comparison = runs.comparison();
        if (standard == Air.Standard.NONE) {
            lines.add("As measured, not corrected.");
        } else if (!runs.before().isEmpty() && !runs.after().isEmpty()) {
            lines.add(String.format(
                    Locale.ROOT,
                    "Corrected by %s; as measured the difference is %+.1f kW.%s",
                    standard.name().toLowerCase(Locale.ROOT).replace('_', ' ').toUpperCase(Locale.ROOT),
                    (raw(comparison.after(), runs.after()) - raw(comparison.before(), runs.before())) / KILO,
                    runs.all().stream().anyMatch(j -> Math.abs(j.factor() - 1) > 0.07)
                            ? " The air is more than 7 % off: outside of what the standard holds for."
                            : ""));
        }
    }

    private static double raw(double[] corrected, List<JudgedRun> runs) {
        double sum = 0;
        for (int i = 0; i < corrected.length; i++) {
            sum += corrected[i] / runs.get(i).factor();
        }
        return sum / corrected.length;
    }

    private static void slip(List<String> lines, List<JudgedRun> judged) {
        List<RunCheck> checks =
                judged.stream().map(j -> RunCheck.of(j.samples())).toList();
        double worst =
                checks.stream().flatMapToDouble(c -> c.agrees().stream()).max().orElse(Double.NaN);
        if (Double.isFinite(worst)) {
            lines.add(String.format(Locale.ROOT, "Torque × speed agrees with power within %.1f %%.", 100 * worst));
        }
        checks.stream()
                .map(RunCheck::slips)
                .filter(s -> !s.isEmpty())
                .findFirst()
                .ifPresentOrElse(lines::add, () -> checks.stream()
                        .flatMapToDouble(c -> c.slip().stream())
                        .max()
                        .ifPresent(s -> lines.add(String.format(
                                Locale.ROOT, "Slip steady: engine to rollers within %.2f %%.", 100 * s))));
    }
}
