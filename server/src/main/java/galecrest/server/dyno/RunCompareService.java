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
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Compares the runs of a car before and after a change, and leaves out what is unlike. */
@Service
class RunCompareService {
    private static final double RPM = 60;
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
        List<JudgedRun> left = new ArrayList<>();
        List<JudgedRun> right = new ArrayList<>();
        for (DynoRepository.Run run : all) {
            boolean isBefore = before.contains(run);
            if (isBefore || after.contains(run)) {
                PowerRun samples = store.samples(run);
                Optional<String> why =
                        why(run, samples, like.orElseThrow(), standard, form.from() / RPM, form.to() / RPM);
                why.ifPresent(w -> leftOut.add(new RunComparisonResponse.LeftOutResponse(run.id(), w)));
                if (why.isEmpty()) {
                    (isBefore ? left : right)
                            .add(new JudgedRun(run, samples, factor(run, standard), all.indexOf(run) + 1));
                }
            }
        }
        RunComparison comparison = RunComparison.of(
                driven(left), driven(right), form.from() / RPM, form.to() / RPM, confidence, comparisons, worth);
        return response(
                new ComparedRuns(form, standard, confidence, comparisons, worth, left, right, comparison), leftOut);
    }

    private static List<RunComparison.Driven> driven(List<JudgedRun> runs) {
        return runs.stream().map(JudgedRun::driven).toList();
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

    private static RunComparisonResponse response(
            ComparedRuns runs, List<RunComparisonResponse.LeftOutResponse> leftOut) {
        RunComparison comparison = runs.comparison();
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
        judged(judged, runs.before(), comparison.before());
        judged(judged, runs.after(), comparison.after());
        return new RunComparisonResponse(
                comparison.range().verdict().name(),
                RunComparisonText.headline(runs, !leftOut.isEmpty()),
                RunComparisonText.lines(runs),
                leftOut,
                bins,
                judged,
                runs.asked());
    }

    private static @Nullable Double kilowatts(double watts) {
        return Double.isFinite(watts) ? watts / ComparedRuns.KILO : null;
    }

    private static void judged(
            List<RunComparisonResponse.JudgedRunResponse> all, List<JudgedRun> runs, double[] corrected) {
        for (int i = 0; i < corrected.length; i++) {
            all.add(new RunComparisonResponse.JudgedRunResponse(
                    runs.get(i).run().id(),
                    corrected[i] / ComparedRuns.KILO,
                    corrected[i] / ComparedRuns.KILO / runs.get(i).factor()));
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
