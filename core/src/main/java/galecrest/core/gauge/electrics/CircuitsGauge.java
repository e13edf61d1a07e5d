package galecrest.core.gauge.electrics;

import static galecrest.core.units.QuantityKind.CURRENT;
import static galecrest.core.units.QuantityKind.DURATION;
import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.SHARE;
import static galecrest.core.units.QuantityKind.VOLTAGE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Circuits of a loom: the wire of each by the voltage that it may lose and by what it carries, the fuse that protects that wire,
 * all of them against the alternator, and how long the battery lasts without it.
 */
public final class CircuitsGauge implements Gauge {
    /** Of the supply: common practice for what is not a lamp or a sensor. */
    private static final double DROP = 0.03;
    /** A fuse is loaded to three quarters for long: common practice. */
    private static final double FUSE_LOAD = 0.75;
    /** Ratings of blade fuses, A (ISO 8820-3). */
    private static final double[] FUSES = {1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30, 35, 40, 50, 60, 70, 80, 100};
    /** Of a battery that starts the engine again: common practice. */
    private static final double USABLE = 0.5;

    private static final double HOUR = 3600;

    private enum Sizes {
        METRIC,
        AWG
    }

    @Override
    public String name() {
        return "circuits";
    }

    @Override
    public String title() {
        return "Circuits and wires";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("supply", VOLTAGE)
                        .hint("12 V where nothing is said: the battery alone is the hard case"),
                GaugeField.quantity("drop", SHARE).hint("3 % where nothing is said"),
                GaugeField.choice("sizes", "metric", "awg"),
                GaugeField.quantity("alternator", CURRENT).ofTheCar().hint("at idle, warm"),
                GaugeField.quantity("battery", NUMBER).ofTheCar().called("Battery, Ah"),
                GaugeField.rows(
                                "circuits",
                                GaugeField.text("circuit").must().hint("fuel pump"),
                                GaugeField.quantity("current", CURRENT).must(),
                                GaugeField.quantity("length", LENGTH).must().hint("there; the way back counts too"),
                                GaugeField.quantity("duty", SHARE).hint("of the time; 100 % where nothing is said"),
                                GaugeField.flag("body back").called("Back by the body"))
                        .must());
    }

    /** The voltage that a current loses on a wire, V; twice its length where it comes back by a wire. */
    public static double lost(Wire wire, double current, double way) {
        return current * wire.warmPerMetre() * way;
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double supply = request.quantityOr("supply", VOLTAGE, 12, 5, 60);
        double drop = request.quantityOr("drop", SHARE, DROP, 0.001, 0.2);
        List<Wire> sizes = request.choice("sizes", Sizes.class) == Sizes.AWG ? Wire.gauges() : Wire.metric();
        double alternator = request.quantityOr("alternator", CURRENT, Double.NaN, 1, 500);
        double battery = request.quantityOr("battery", NUMBER, Double.NaN, 0.5, 500);
        List<GaugeRequest> circuits = request.rows("circuits");
        if (circuits.isEmpty()) {
            request.wrong("circuits", "are needed, each with its current and length.");
        }
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> rows = new ArrayList<>();
        Set<String> names = new HashSet<>();
        double mean = 0;
        double most = 0;
        int none = 0;
        for (GaugeRequest row : circuits) {
            String name = row.text("circuit");
            if (name.isEmpty() || !names.add(name)) {
                row.wrong("circuit", name.isEmpty() ? "is needed: what it feeds." : "is there twice.");
            }
            double current = row.quantity("current", CURRENT, 0.001, 300);
            double way = row.quantity("length", LENGTH, 0.01, 50) * (row.flag("body back") ? 1 : 2);
            mean += current * row.quantityOr("duty", SHARE, 1, 0, 1);
            most += current;
            GaugeAnswer line = answer.row().put("circuit", name);
            OptionalDouble fuse = fuse(current);
            // The fuse must blow before the wire is too warm: the wire carries what its fuse lets through.
            double through = fuse.orElse(current);
            Optional<Wire> wire = sizes.stream()
                    .filter(w -> lost(w, current, way) <= drop * supply && w.carries() >= through)
                    .findFirst();
            if (wire.isEmpty()) {
                none++;
                line.put("wire", "none of these is thick enough: shorten the way, or lay two");
            } else {
                double lost = lost(wire.get(), current, way);
                line.put("wire", wire.get().name())
                        .put("because of", because(sizes, wire.get(), current, through))
                        .put("loses", VOLTAGE, lost)
                        .put("of the supply", SHARE, lost / supply)
                        .put("fuse", said(fuse));
            }
            rows.add(line);
        }
        request.done();
        answer.put("all on", CURRENT, most).put("on the whole", CURRENT, mean);
        String verdict = String.format(Locale.ROOT, "%.1f A on the whole, %.1f A with all on", mean, most);
        if (!Double.isNaN(alternator)) {
            answer.put("left of the alternator", CURRENT, alternator - mean);
            verdict += alternator >= mean
                    ? String.format(Locale.ROOT, "; the alternator has %.1f A left", alternator - mean)
                    : String.format(Locale.ROOT, "; %.1f A more than the alternator gives", mean - alternator);
        }
        if (!Double.isNaN(battery)) {
            answer.put("battery alone", DURATION, battery * USABLE / mean * HOUR);
        }
        if (none > 0) {
            verdict += "; " + none + (none == 1 ? " circuit has" : " circuits have") + " no wire";
        }
        return answer.put("verdict", verdict).rows("circuits", rows);
    }

    private static String because(List<Wire> sizes, Wire chosen, double current, double through) {
        if (sizes.stream()
                .filter(w -> w.carries() >= through)
                .findFirst()
                .filter(chosen::equals)
                .isEmpty()) {
            return "the voltage that it loses";
        }
        return sizes.stream()
                        .filter(w -> w.carries() >= current)
                        .findFirst()
                        .filter(chosen::equals)
                        .isEmpty()
                ? "the fuse before it"
                : "what it carries";
    }

    /** The smallest fuse that carries the current for long, A; empty where none does. */
    private static OptionalDouble fuse(double current) {
        return Arrays.stream(FUSES)
                .filter(rating -> rating * FUSE_LOAD >= current)
                .findFirst();
    }

    private static String said(OptionalDouble fuse) {
        double rating = fuse.orElse(Double.NaN);
        return fuse.isEmpty()
                ? "none: it takes a channel or a link of its own"
                : (rating == Math.rint(rating) ? String.format(Locale.ROOT, "%.0f", rating) : rating) + " A";
    }
}
