package galecrest.server.dyno;

import galecrest.core.dyno.PowerRun;
import galecrest.core.dyno.RunCheck;
import galecrest.core.dyno.RunComparison;
import galecrest.core.dyno.RunConditions;
import galecrest.core.gauge.power.Air;
import galecrest.core.gauge.power.PowerComparison;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import galecrest.server.access.AnyHand;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Compares the runs of a car before and after a change, and leaves out what is unlike. */
@Service
class RunCompareService {
    private static final double RPM = 60;
    private static final double KILO = 1_000;
    private static final double USUAL_CONFIDENCE = 0.95;
    private static final int WIDEST_RANGE = 30_000;

    private final DynoRepository record;
    private final RunStore store;
    private final PowerRunService runs;

    RunCompareService(DynoRepository record, RunStore store, PowerRunService runs) {
        this.record = record;
        this.store = store;
        this.runs = runs;
    }

    /** A run that takes part. */
    private record Judged(DynoRepository.Run run, PowerRun samples, double factor, int order) {
        RunComparison.Driven driven() {
            return new RunComparison.Driven(samples, factor, order);
        }
    }

    @AnyHand
    RunComparisonResponse compare(String build, CompareRequest form) {
        runs.car(build);
        Air.Standard standard = standard(form.standard());
        double confidence = quantity("confidence", QuantityKind.SHARE, form.confidence(), USUAL_CONFIDENCE);
        double worth = quantity("worth", QuantityKind.POWER, form.worth(), Double.NaN);
        int comparisons = form.comparisons() == null ? 1 : form.comparisons();
        if (!(confidence >= 0.5 && confidence <= 0.9999)) {
            throw new ValidationException("confidence", "50 to 99.99 %.");
        }
        if (form.from() < 0 || form.to() - form.from() < 100 || form.to() > WIDEST_RANGE) {
            throw new ValidationException("to", "The range is 100 rpm wide at the least.");
        }
        List<RunComparisonResponse.LeftOutResponse> leftOut = new ArrayList<>();
        List<DynoRepository.Run> all = record.of(build);
        List<DynoRepository.Run> before = picked(all, form.before());
        List<DynoRepository.Run> after = picked(all, form.after());
        Optional<RunConditions> like =
                Stream.concat(before.stream(), after.stream()).findFirst().map(RunCompareService::conditions);
        List<Judged> left = new ArrayList<>();
        List<Judged> right = new ArrayList<>();
        for (DynoRepository.Run run : all) {
            boolean isBefore = before.contains(run);
            if (isBefore || after.contains(run)) {
                PowerRun samples = store.samples(run);
                Optional<String> why =
                        why(run, samples, like.orElseThrow(), standard, form.from() / RPM, form.to() / RPM);
                why.ifPresent(w -> leftOut.add(new RunComparisonResponse.LeftOutResponse(run.id(), w)));
                if (why.isEmpty()) {
                    (isBefore ? left : right)
                            .add(new Judged(run, samples, factor(run, standard), all.indexOf(run) + 1));
                }
            }
        }
        RunComparison comparison = RunComparison.of(
                driven(left), driven(right), form.from() / RPM, form.to() / RPM, confidence, comparisons, worth);
        return response(form, comparison, left, right, leftOut, standard, confidence, comparisons, worth);
    }

    private static List<RunComparison.Driven> driven(List<Judged> runs) {
        return runs.stream().map(Judged::driven).toList();
    }

    private static List<DynoRepository.Run> picked(List<DynoRepository.Run> all, @Nullable List<String> ids) {
        List<DynoRepository.Run> picked = new ArrayList<>();
        for (String id : ids == null ? List.<String>of() : ids) {
            picked.add(all.stream()
                    .filter(r -> r.id().equals(id))
                    .findFirst()
                    .orElseThrow(() -> new NotFoundException("run")));
        }
        return picked;
    }

    private static Optional<String> why(
            DynoRepository.Run run,
            PowerRun samples,
            RunConditions like,
            Air.Standard standard,
            double from,
            double to) {
        Optional<String> unlike = conditions(run).unlike(like);
        if (unlike.isPresent()) {
            return unlike;
        }
        RunCheck check = RunCheck.of(samples);
        if (!check.mistaken().isEmpty()) {
            return Optional.of("its columns are mistaken");
        }
        if (standard != Air.Standard.NONE
                && said(run.conditions().airPressure()).isEmpty()) {
            return Optional.of("nobody noted the air of the room");
        }
        return Double.isNaN(samples.mean(from, to))
                ? Optional.of("it does not go through all of the range")
                : Optional.empty();
    }

    private static RunConditions conditions(DynoRepository.Run run) {
        RunConditionsRequest c = run.conditions();
        return new RunConditions(
                run.dyno(),
                said(c.gear()),
                quantity("pressure", QuantityKind.PRESSURE, c.pressure(), Double.NaN),
                said(c.straps()),
                said(c.fuel()));
    }

    private static double factor(DynoRepository.Run run, Air.Standard standard) {
        RunConditionsRequest c = run.conditions();
        return standard == Air.Standard.NONE
                ? 1
                : new Air(
                                quantity("airPressure", QuantityKind.PRESSURE, c.airPressure(), Double.NaN),
                                quantity("airTemperature", QuantityKind.TEMPERATURE, c.airTemperature(), Double.NaN),
                                quantity("humidity", QuantityKind.SHARE, c.humidity(), 0))
                        .factor(standard);
    }

    private RunComparisonResponse response(
            CompareRequest form,
            RunComparison comparison,
            List<Judged> before,
            List<Judged> after,
            List<RunComparisonResponse.LeftOutResponse> leftOut,
            Air.Standard standard,
            double confidence,
            int comparisons,
            double worth) {
        List<RunComparisonResponse.BinResponse> bins = comparison.bins().stream()
                .map(b -> new RunComparisonResponse.BinResponse(
                        Math.round(RPM * (b.from() + b.to()) / 2),
                        kilowatts(b.before()),
                        kilowatts(b.after()),
                        kilowatts(b.compared().difference()),
                        kilowatts(b.compared().least()),
                        b.compared().verdict() == PowerComparison.Verdict.REAL))
                .filter(b -> b.before() != null || b.after() != null)
                .toList();
        List<RunComparisonResponse.JudgedRunResponse> judged = new ArrayList<>();
        judged(judged, before, comparison.before());
        judged(judged, after, comparison.after());
        String changed = changed(before, after);
        return new RunComparisonResponse(
                comparison.range().verdict().name(),
                after.isEmpty() && leftOut.isEmpty()
                        ? "Nothing to compare with yet"
                        : headline(comparison.range(), form),
                after.isEmpty()
                        ? alone(comparison.before(), before, confidence, worth)
                        : lines(comparison, before, after, standard, confidence, comparisons, changed),
                leftOut,
                bins,
                judged,
                asked(form, comparison, before, after, standard, changed));
    }

    private static @Nullable Double kilowatts(double watts) {
        return Double.isFinite(watts) ? watts / KILO : null;
    }

    private static void judged(
            List<RunComparisonResponse.JudgedRunResponse> all, List<Judged> runs, double[] corrected) {
        for (int i = 0; i < corrected.length; i++) {
            all.add(new RunComparisonResponse.JudgedRunResponse(
                    runs.get(i).run().id(),
                    corrected[i] / KILO,
                    corrected[i] / KILO / runs.get(i).factor()));
        }
    }

    /** Repeat runs before anything is changed: how a run scatters, and how many it takes to judge a change. */
    private static List<String> alone(double[] power, List<Judged> runs, double confidence, double worth) {
        double scatter = PowerComparison.scatter(power, new double[0]);
        if (!(scatter > 0)) {
            return List.of("Drive two or more runs before anything is changed: they tell how a run scatters.");
        }
        double change = Double.isNaN(worth) ? PowerComparison.mean(power) / 100 : worth;
        int needed = PowerComparison.needed(scatter, change, confidence);
        List<String> lines = new ArrayList<>();
        lines.add(String.format(
                Locale.ROOT,
                "A run scatters by %.1f kW. A change of %.1f kW%s takes %s on each side to be found four times in five.",
                scatter / KILO,
                change / KILO,
                Double.isNaN(worth) ? " (1 % of the power; say what is worth finding)" : "",
                needed == 0 ? "more runs than anybody drives" : needed + " runs"));
        slip(lines, runs);
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

    private static List<String> lines(
            RunComparison comparison,
            List<Judged> before,
            List<Judged> after,
            Air.Standard standard,
            double confidence,
            int comparisons,
            String changed) {
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
        corrected(lines, comparison, before, after, standard);
        slip(lines, Stream.concat(before.stream(), after.stream()).toList());
        List<String> changes = changes(changed);
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
    private static void corrected(
            List<String> lines,
            RunComparison comparison,
            List<Judged> before,
            List<Judged> after,
            Air.Standard standard) {
        if (standard == Air.Standard.NONE) {
            lines.add("As measured, not corrected.");
        } else if (!before.isEmpty() && !after.isEmpty()) {
            lines.add(String.format(
                    Locale.ROOT,
                    "Corrected by %s; as measured the difference is %+.1f kW.%s",
                    standard.name().toLowerCase(Locale.ROOT).replace('_', ' ').toUpperCase(Locale.ROOT),
                    (raw(comparison.after(), after) - raw(comparison.before(), before)) / KILO,
                    Stream.concat(before.stream(), after.stream()).anyMatch(j -> Math.abs(j.factor() - 1) > 0.07)
                            ? " The air is more than 7 % off: outside of what the standard holds for."
                            : ""));
        }
    }

    private static double raw(double[] corrected, List<Judged> runs) {
        double sum = 0;
        for (int i = 0; i < corrected.length; i++) {
            sum += corrected[i] / runs.get(i).factor();
        }
        return sum / corrected.length;
    }

    private static void slip(List<String> lines, List<Judged> judged) {
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

    /** What was put on the car, and what was taken off; parted by semicolons where it is more than one thing. */
    private static String changed(List<Judged> before, List<Judged> after) {
        List<String> was = states(before);
        List<String> is = states(after);
        return Stream.concat(
                        is.stream().filter(s -> !was.contains(s)),
                        was.stream().filter(s -> !is.contains(s)).map(s -> "without " + s))
                .collect(Collectors.joining("; "));
    }

    private static List<String> states(List<Judged> runs) {
        return runs.stream()
                .flatMap(j -> changes(said(j.run().conditions().state())).stream())
                .distinct()
                .toList();
    }

    private static List<String> changes(String state) {
        return Arrays.stream(state.split(";"))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList();
    }

    private static Map<String, Object> asked(
            CompareRequest form,
            RunComparison comparison,
            List<Judged> before,
            List<Judged> after,
            Air.Standard standard,
            String changed) {
        Map<String, Object> asked = new LinkedHashMap<>();
        // Where nobody said what was changed, the gauge asks for it and nothing is filed.
        asked.put("changed", changed.isEmpty() ? "" : changed + ", " + form.from() + " to " + form.to() + " rpm");
        List<Map<String, Object>> rows = new ArrayList<>();
        rows(rows, "before", before, comparison.before(), standard);
        rows(rows, "after", after, comparison.after(), standard);
        asked.put("runs", rows);
        put(asked, "confidence", form.confidence());
        put(asked, "worth", form.worth());
        if (form.comparisons() != null) {
            asked.put("comparisons", form.comparisons());
        }
        return asked;
    }

    private static void rows(
            List<Map<String, Object>> rows, String side, List<Judged> runs, double[] power, Air.Standard standard) {
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
        if (!said(text).isEmpty()) {
            fields.put(name, said(text));
        }
    }

    private static Air.Standard standard(@Nullable String said) {
        if (said == null || said.isBlank()) {
            return Air.Standard.NONE;
        }
        return Arrays.stream(Air.Standard.values())
                .filter(s -> s.name().equalsIgnoreCase(said.strip().replace(' ', '_')))
                .findFirst()
                .orElseThrow(
                        () -> new ValidationException("standard", "\"" + said + "\" is no standard that is known."));
    }

    private static double quantity(String field, QuantityKind kind, @Nullable String text, double otherwise) {
        if (said(text).isEmpty()) {
            return otherwise;
        }
        try {
            return QuantityText.read(kind, said(text), k -> UnitSystem.METRIC);
        } catch (QuantityText.Unreadable unreadable) {
            throw new ValidationException(field, unreadable.getMessage());
        }
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
