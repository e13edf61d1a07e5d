package galecrest.server.dyno.review;

import galecrest.core.dyno.Channel;
import galecrest.core.dyno.DataReview;
import galecrest.core.dyno.PowerRun;
import galecrest.core.dyno.ReviewLimit;
import galecrest.core.dyno.Thinned;
import galecrest.core.shop.Problem;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import galecrest.core.units.Units;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.dyno.DynoRepository;
import galecrest.server.dyno.PowerRunService;
import galecrest.server.dyno.RunStore;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ValidationException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The channels of a run, drawn and held against the car's limits. */
@Service
class RunReviewService {
    private static final Units METRIC = kind -> UnitSystem.METRIC;
    private static final double RPM = 60;
    private static final double THOUSAND_RPM = 1_000 / RPM;
    private static final int WIDEST = 4_000;

    private final DynoRepository record;
    private final RunStore store;
    private final PowerRunService runs;
    private final Journal journal;

    RunReviewService(DynoRepository record, RunStore store, PowerRunService runs, Journal journal) {
        this.record = record;
        this.store = store;
        this.runs = runs;
        this.journal = journal;
    }

    private List<ReviewLimit> limitsOf(String build) {
        List<ReviewLimit> own = record.limits(build);
        return own.isEmpty() ? ReviewLimit.USUAL : own;
    }

    /** The run's channels as a picture so many columns wide needs them, over time where the file has it. */
    @AnyHand
    TraceResponse trace(String id, int columns) {
        if (columns < 10 || columns > WIDEST) {
            throw new ValidationException("columns", "10 to " + WIDEST + ".");
        }
        DynoRepository.Run run = runs.run(id);
        PowerRun samples = store.samples(run);
        boolean overTime = samples.has(Channel.TIME);
        double[] x = overTime
                ? samples.of(Channel.TIME)
                : Arrays.stream(samples.of(Channel.ENGINE_SPEED))
                        .map(v -> v * RPM)
                        .toArray();
        boolean inOrder = overTime || isRising(x);
        double[] along = inOrder ? x : counted(x.length);
        List<TraceResponse.SeriesResponse> series = Arrays.stream(Channel.values())
                .filter(c -> c != Channel.TIME && samples.has(c))
                .map(c -> {
                    Thinned thin = Thinned.of(along, samples.of(c), columns);
                    return new TraceResponse.SeriesResponse(
                            c.label(),
                            QuantityText.unit(c.kind(), METRIC),
                            overTime,
                            samples.size(),
                            thin.x(),
                            Arrays.stream(thin.y())
                                    .mapToObj(v -> Double.isFinite(v) ? rounded(c.kind(), v) : null)
                                    .toList());
                })
                .toList();
        List<TraceResponse.ReviewLineResponse> review = DataReview.of(samples, limitsOf(run.buildId())).stream()
                .map(RunReviewService::line)
                .toList();
        return new TraceResponse(series, review);
    }

    private static boolean isRising(double[] x) {
        for (int i = 1; i < x.length; i++) {
            if (x[i] < x[i - 1]) {
                return false;
            }
        }
        return true;
    }

    private static double[] counted(int size) {
        double[] all = new double[size];
        Arrays.setAll(all, i -> i);
        return all;
    }

    private static @Nullable Double rounded(QuantityKind kind, double si) {
        return Math.round(QuantityText.in(kind, si, METRIC) * 10_000) / 10_000.0;
    }

    private static TraceResponse.ReviewLineResponse line(DataReview.Line line) {
        QuantityKind kind = line.limit().channel().kind();
        return new TraceResponse.ReviewLineResponse(
                line.limit().channel().label(),
                line.limit().floor(),
                PowerRunService.figure(kind, line.worst()),
                PowerRunService.figure(QuantityKind.ROTATION, line.worstAt()),
                PowerRunService.figure(kind, line.line()),
                line.crossedAt().isPresent()
                        ? PowerRunService.figure(
                                QuantityKind.ROTATION, line.crossedAt().getAsDouble())
                        : null,
                Math.round(line.seconds() * 100) / 100.0);
    }

    /** The limits of a car: its own, or the usual ones. */
    @AnyHand
    List<ReviewLimitResponse> limits(String build) {
        runs.car(build);
        boolean usual = record.limits(build).isEmpty();
        return limitsOf(build).stream()
                .map(l -> new ReviewLimitResponse(
                        l.channel().label(),
                        l.floor(),
                        l.watch() == 0 && l.perTurn() != 0
                                ? ""
                                : QuantityText.say(l.channel().kind(), l.watch(), METRIC),
                        l.perTurn() == 0
                                ? ""
                                : QuantityText.say(l.channel().kind(), l.perTurn() * THOUSAND_RPM, METRIC),
                        usual))
                .toList();
    }

    /** Gives a car its own limits; none at all goes back to the usual ones. */
    @LeadOrManager
    void setLimits(String build, List<ReviewLimitRequest> forms) {
        List<Problem> problems = new ArrayList<>();
        List<ReviewLimit> limits = new ArrayList<>();
        Set<Channel> seen = new HashSet<>();
        for (int i = 0; i < forms.size(); i++) {
            String at = "limits." + i + ".";
            ReviewLimitRequest form = forms.get(i);
            Channel channel = Channel.named(form.channel()).orElse(null);
            if (channel == null) {
                problems.add(new Problem(at + "channel", "\"" + form.channel() + "\" is no channel."));
            } else if (!seen.add(channel)) {
                problems.add(new Problem(at + "channel", "It has a limit already."));
            } else {
                limits.add(new ReviewLimit(
                        channel,
                        form.floor(),
                        quantity(problems, at + "watch", channel, form.watch()),
                        quantity(problems, at + "per1000", channel, form.per1000()) / THOUSAND_RPM));
            }
        }
        ValidationException.throwIfAny(problems);
        journal.judge(() -> {
            String car = runs.car(build);
            record.limits(build, limits);
            return (limits.isEmpty() ? "went back to the usual limits for " : "said the limits of ") + car;
        });
    }

    private static double quantity(List<Problem> problems, String field, Channel channel, @Nullable String text) {
        if (text == null || text.isBlank()) {
            return 0;
        }
        try {
            return QuantityText.read(channel.kind(), text, METRIC);
        } catch (QuantityText.Unreadable unreadable) {
            problems.add(new Problem(field, unreadable.getMessage()));
            return 0;
        }
    }
}
