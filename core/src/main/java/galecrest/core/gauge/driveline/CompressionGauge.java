package galecrest.core.gauge.driveline;

import static galecrest.core.units.QuantityKind.PRESSURE;
import static galecrest.core.units.QuantityKind.SHARE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Compression and leak-down by cylinder: spread, and what it means. The limits and what the place of a hiss says are common
 * practice; the maker's figures go before them.
 */
public final class CompressionGauge implements Gauge {
    /** A cylinder below this share of the best one is low. */
    private static final double LOW = 0.9;

    private static final double BAD = 0.8;
    private static final double WORN_LEAK = 0.1;
    private static final double BAD_LEAK = 0.2;

    @Override
    public String name() {
        return "compression";
    }

    @Override
    public String title() {
        return "Compression and leak-down";
    }

    /** Where it hisses. */
    private enum Hiss {
        NOWHERE("nothing heard"),
        INTAKE("the intake valve"),
        EXHAUST("the exhaust valve"),
        BREATHER("rings and bore"),
        RADIATOR("head gasket or a crack"),
        NEIGHBOUR("the head gasket between both cylinders");

        private final String means;

        Hiss(String means) {
            this.means = means;
        }
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(GaugeField.rows(
                        "cylinders",
                        GaugeField.quantity("compression", PRESSURE),
                        GaugeField.quantity("leak-down", SHARE),
                        GaugeField.choice("hiss", "nowhere", "intake", "exhaust", "breather", "radiator", "neighbour")
                                .called("Hisses at"))
                .must());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        List<GaugeRequest> rows = request.rows("cylinders");
        double[] pressure = new double[rows.size()];
        double[] leak = new double[rows.size()];
        Hiss[] hiss = new Hiss[rows.size()];
        for (int i = 0; i < pressure.length; i++) {
            pressure[i] = rows.get(i).quantityOr("compression", PRESSURE, Double.NaN, 0, 4e6);
            leak[i] = rows.get(i).quantityOr("leak-down", SHARE, Double.NaN, 0, 1);
            hiss[i] = rows.get(i).choice("hiss", Hiss.class);
        }
        boolean both = Arrays.stream(pressure).allMatch(Double::isNaN)
                && Arrays.stream(leak).allMatch(Double::isNaN);
        if (rows.isEmpty() || both) {
            request.wrong("cylinders", "are needed, each with its compression or its leak-down.");
        }
        request.done();
        double best =
                Arrays.stream(pressure).filter(p -> !Double.isNaN(p)).max().orElse(Double.NaN);
        double least =
                Arrays.stream(pressure).filter(p -> !Double.isNaN(p)).min().orElse(Double.NaN);
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> said = new ArrayList<>();
        List<String> verdict = new ArrayList<>();
        for (int i = 0; i < pressure.length; i++) {
            said.add(cylinder(answer, i, pressure[i], best, leak[i], hiss[i], verdict));
            boolean low = pressure[i] < LOW * best;
            if (low && i + 1 < pressure.length && pressure[i + 1] < LOW * best) {
                verdict.add("Cylinders " + (i + 1) + " and " + (i + 2)
                        + " are low side by side: suspect the head gasket between them.");
            }
        }
        if (!Double.isNaN(best)) {
            answer.put("best", PRESSURE, best).put("spread", SHARE, best == 0 ? 0 : (best - least) / best);
        }
        if (verdict.isEmpty()) {
            verdict.add("Even, within what is usual.");
        }
        return answer.rows("cylinders", said)
                .put("good", verdict.get(0).startsWith("Even"))
                .put("verdict", verdict)
                .put(
                        "before",
                        List.of(
                                "Warm, all plugs out, throttle open, fuel and ignition off, battery charged.",
                                "Leak-down: piston at the top of its compression, crank held; keep clear, air can turn the"
                                        + " engine."));
    }

    private static GaugeAnswer cylinder(
            GaugeAnswer answer,
            int number,
            double pressure,
            double best,
            double leak,
            Hiss hiss,
            List<String> verdict) {
        GaugeAnswer row = answer.row().put("cylinder", String.valueOf(number + 1));
        String name = "Cylinder " + (number + 1);
        if (!Double.isNaN(pressure)) {
            row.put("compression", PRESSURE, pressure).put("of the best", SHARE, best == 0 ? 0 : pressure / best);
            if (pressure < LOW * best) {
                verdict.add(name
                        + (pressure < BAD * best
                                ? " is far below the best: find out why before it runs. A spoon of oil that brings it up points to"
                                        + " the rings."
                                : " is low: measure again, then leak-down."));
            }
        }
        if (!Double.isNaN(leak)) {
            row.put("leak-down", SHARE, leak);
            if (leak > WORN_LEAK) {
                verdict.add(name
                        + (leak > BAD_LEAK ? " leaks too much" : " leaks more than a fresh engine")
                        + (hiss == Hiss.NOWHERE
                                ? "; listen at intake, exhaust, breather and radiator."
                                : ": " + hiss.means + "."));
            }
        }
        return row;
    }
}
