package galecrest.core.gauge;

import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.Units;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a gauge answers: figures with their unit, texts, and parts and lists of these, in order. */
public final class GaugeAnswer {
    private static final MathContext DIGITS = new MathContext(7);
    /** What is less than that, in whatever unit, is what computing leaves of nought. */
    private static final double NOTHING = 1e-9;

    private final Units system;
    private final Map<String, Object> values = new LinkedHashMap<>();

    /** An empty answer in such units. */
    public GaugeAnswer(Units system) {
        this.system = system;
    }

    /** A figure with its unit: as it is shown, and in words with the other system beside it. */
    public record Figure(double value, String unit, String said) {}

    /** A figure, given in SI. */
    public GaugeAnswer put(String field, QuantityKind kind, double si) {
        values.put(field, figure(kind, si));
        return this;
    }

    private Figure figure(QuantityKind kind, double si) {
        return figure(kind, si, system);
    }

    /** A figure of its own, given in SI. */
    public static Figure figure(QuantityKind kind, double si, Units system) {
        double shown = QuantityText.in(kind, si, system);
        double rounded = Math.abs(shown) < NOTHING
                ? 0
                : Double.isFinite(shown) ? new BigDecimal(shown).round(DIGITS).doubleValue() : shown;
        return new Figure(rounded, QuantityText.unit(kind, system), QuantityText.sayBoth(kind, si, system));
    }

    /** Figures by name, as of the four wheels. */
    public GaugeAnswer put(String field, QuantityKind kind, List<String> names, double[] si) {
        Map<String, Object> all = new LinkedHashMap<>();
        for (int i = 0; i < si.length; i++) {
            all.put(names.get(i), figure(kind, si[i]));
        }
        values.put(field, all);
        return this;
    }

    /** A text. */
    public GaugeAnswer put(String field, String text) {
        values.put(field, text);
        return this;
    }

    /** Whether something is so. */
    public GaugeAnswer put(String field, boolean so) {
        values.put(field, so);
        return this;
    }

    /** Texts. */
    public GaugeAnswer put(String field, List<String> texts) {
        values.put(field, List.copyOf(texts));
        return this;
    }

    /** Answers as rows. */
    public GaugeAnswer rows(String field, List<GaugeAnswer> rows) {
        List<Object> all = new ArrayList<>();
        rows.forEach(r -> all.add(r.values()));
        values.put(field, all);
        return this;
    }

    /** An empty answer in the same units, for a row. */
    public GaugeAnswer row() {
        return new GaugeAnswer(system);
    }

    /** The figure of a field. */
    public double value(String field) {
        return ((Figure) values.get(field)).value();
    }

    /** The field of the first figure. */
    public Optional<String> first() {
        return values.entrySet().stream()
                .filter(e -> e.getValue() instanceof Figure)
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** A figure in words, in the units of the answer. */
    public String said(String field) {
        return ((Figure) values.get(field)).said().replaceAll(" \\(.*\\)$", "");
    }

    /** A text of a field. */
    public String text(String field) {
        return String.valueOf(values.get(field));
    }

    /** What is answered, by field. */
    public Map<String, Object> values() {
        return Collections.unmodifiableMap(values);
    }

    public Units system() {
        return system;
    }
}
