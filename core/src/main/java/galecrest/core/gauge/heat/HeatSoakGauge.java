package galecrest.core.gauge.heat;

import static galecrest.core.units.QuantityKind.DURATION;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.TEMPERATURE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A logged temperature trace: where it goes, how fast, whether it crosses its limits in a session; and, with a second trace,
 * what a cooler did, each as its rise above its own air.
 */
public final class HeatSoakGauge implements Gauge {
    private static final double COLDEST = 223;
    private static final double HOTTEST = 1_500;
    private static final int MOST_SAMPLES = 20_000;
    /** A trace that is shorter than its time constant does not tell where it goes. */
    private static final double LEAST_SPAN = 1;

    @Override
    public String name() {
        return "heat-soak";
    }

    @Override
    public String title() {
        return "Heat soak";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.text("channel").hint("oil, behind the cooler"),
                GaugeField.list("times", DURATION).must().hint("0 s; 30 s; 60 s, rising"),
                GaugeField.list("temperatures", TEMPERATURE).must().hint("one for each time"),
                GaugeField.quantity("air", TEMPERATURE).must().hint("around the car on that day"),
                GaugeField.list("times after", DURATION).hint("of a second trace, after a change"),
                GaugeField.list("temperatures after", TEMPERATURE),
                GaugeField.quantity("air after", TEMPERATURE),
                GaugeField.quantity("watch", TEMPERATURE).ofTheCar(),
                GaugeField.quantity("stop", TEMPERATURE).ofTheCar(),
                GaugeField.quantity("session", DURATION).hint("how long it is driven at a stretch"));
    }

    private record Trace(double[] times, HeatSoak soak, double air) {
        double span() {
            return times[times.length - 1] - times[0];
        }

        double rise() {
            return soak.steady() - air;
        }
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        String channel = request.text("channel");
        Optional<Trace> before = trace(request, "");
        boolean second = request.has("times after") || request.has("temperatures after") || request.has("air after");
        Optional<Trace> after = second ? trace(request, " after") : Optional.empty();
        double watch = request.quantityOr("watch", TEMPERATURE, Double.NaN, COLDEST, HOTTEST);
        double stop = request.quantityOr("stop", TEMPERATURE, Double.NaN, COLDEST, HOTTEST);
        double session = request.quantityOr("session", DURATION, Double.NaN, 1, 86_400);
        if (watch > stop) {
            request.wrong("stop", "is below the watch limit.");
        }
        request.done();
        Trace now = after.orElse(before.orElseThrow());
        GaugeAnswer answer = new GaugeAnswer(request.system());
        put(answer, "", before.orElseThrow());
        after.ifPresent(a -> put(answer, " after", a));
        List<String> words = new ArrayList<>();
        String of = channel.isEmpty() ? "" : channel + ": ";
        words.add(of + steady(now));
        after.ifPresent(a -> words.add(cooler(answer, before.orElseThrow(), a)));
        limits(answer, words, now, watch, stop, session);
        if (now.span() < LEAST_SPAN * now.soak().tau()) {
            words.add(String.format(
                    Locale.ROOT,
                    "the trace ends before it tells where it goes: log %.0f min or more",
                    2 * now.soak().tau() / 60));
        }
        return answer.put("verdict", String.join("; ", words));
    }

    private static Optional<Trace> trace(GaugeRequest request, String which) {
        double[] times = request.quantities("times" + which, DURATION, 0, 86_400);
        double[] temperatures = request.quantities("temperatures" + which, TEMPERATURE, COLDEST, HOTTEST);
        double air = request.quantity("air" + which, TEMPERATURE, COLDEST, 340);
        if (times.length != temperatures.length) {
            request.wrong(
                    "temperatures" + which,
                    "are " + temperatures.length + " where there are " + times.length + " times: one for each.");
            return Optional.empty();
        }
        if (times.length > MOST_SAMPLES) {
            request.wrong("times" + which, "are more than " + MOST_SAMPLES + ": log less often, or take means.");
            return Optional.empty();
        }
        for (int i = 1; i < times.length; i++) {
            if (!(times[i] > times[i - 1])) {
                request.wrong("times" + which + "[" + i + "]", "is not after the one before it.");
                return Optional.empty();
            }
        }
        for (double t : temperatures) {
            if (Double.isNaN(t)) {
                return Optional.empty();
            }
        }
        Optional<HeatSoak> soak = HeatSoak.fit(times, temperatures);
        if (soak.isEmpty()) {
            request.wrong(
                    "temperatures" + which,
                    "follow no first-order rise: it takes six samples or more that go towards a steady one.");
        }
        return soak.map(s -> new Trace(times, s, air));
    }

    private static void put(GaugeAnswer answer, String which, Trace trace) {
        HeatSoak soak = trace.soak();
        // A difference of temperatures is no temperature: it has no zero of its own, and is said in K.
        answer.put("steady" + which, TEMPERATURE, soak.steady())
                .put("steady" + which + ", ± K", NUMBER, soak.steadyError())
                .put("time constant" + which, DURATION, soak.tau())
                .put("time constant" + which + ", ± s", NUMBER, soak.tauError())
                .put("rise above the air" + which + ", K", NUMBER, trace.rise())
                .put("scatter" + which + ", K", NUMBER, soak.scatter());
    }

    private static String steady(Trace trace) {
        return String.format(
                Locale.ROOT,
                "goes to %.0f °C ± %.1f, %.0f K above the air, time constant %.1f min",
                trace.soak().steady() - 273.15,
                trace.soak().steadyError(),
                trace.rise(),
                trace.soak().tau() / 60);
    }

    private static String cooler(GaugeAnswer answer, Trace before, Trace after) {
        double less = before.rise() - after.rise();
        double error = Math.hypot(before.soak().steadyError(), after.soak().steadyError());
        boolean real = Math.abs(less) > error;
        answer.put("less rise, K", NUMBER, less)
                .put("less rise, ± K", NUMBER, error)
                .put("real", real);
        return String.format(
                Locale.ROOT,
                real
                        ? "the change took %.1f K ± %.1f off the rise"
                        : "the change is inside of what the traces tell: %.1f K ± %.1f",
                less,
                error);
    }

    private static void limits(
            GaugeAnswer answer, List<String> words, Trace now, double watch, double stop, double session) {
        boolean good = true;
        for (boolean isStop : new boolean[] {false, true}) {
            double limit = isStop ? stop : watch;
            String name = isStop ? "stop" : "watch";
            if (Double.isNaN(limit)) {
                continue;
            }
            double when = now.soak().reaches(limit);
            boolean crossed = Double.isFinite(when) && !(when > session);
            if (Double.isFinite(when)) {
                answer.put(name + " reached after", DURATION, when);
            }
            good &= !crossed;
            if (crossed) {
                words.add(String.format(Locale.ROOT, "reaches %s after %.1f min", name, when / 60));
            }
        }
        if (!Double.isNaN(session)) {
            answer.put("at the end of the session", TEMPERATURE, now.soak().at(session))
                    .put("at the end of the session, ± K", NUMBER, now.soak().errorAt(session));
        }
        if (!Double.isNaN(watch) || !Double.isNaN(stop)) {
            answer.put("good", good);
        }
    }
}
