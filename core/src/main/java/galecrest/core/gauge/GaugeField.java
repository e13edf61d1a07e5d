package galecrest.core.gauge;

import galecrest.core.units.QuantityKind;
import java.util.List;
import java.util.Optional;

/**
 * A field of a gauge's sheet, so that a form can be drawn for it.
 *
 * @param name as in the request; empty for the wheels, whose names are those of the corners
 * @param label the word for it on screen
 * @param kind of a quantity or a list of them
 * @param needed whether the gauge cannot answer without it
 * @param known whether it is true of the car, and so the same from sheet to sheet
 * @param hint what to write, or how it is measured; may be empty
 * @param choices what a choice is made of
 * @param columns the fields of a row, of a part, or of each wheel
 * @param last the figure of another gauge's last sheet that a new sheet begins with
 */
public record GaugeField(
        String name,
        String label,
        Type type,
        Optional<QuantityKind> kind,
        boolean needed,
        boolean known,
        String hint,
        List<String> choices,
        List<GaugeField> columns,
        Optional<LastFigure> last) {
    /** A figure of a gauge's answer. */
    public record LastFigure(String gauge, String figure) {}

    /** What a field holds. */
    public enum Type {
        QUANTITY,
        /** Quantities as a list of any length. */
        LIST,
        /** A quantity at each of the four corners, in the order of {@code Corner}. */
        CORNERS,
        TEXT,
        FLAG,
        CHOICE,
        /** A list of rows with columns. */
        ROWS,
        /** Fields that belong together, all or none. */
        PART,
        /** Fields at each of the four corners. */
        WHEELS
    }

    public GaugeField {
        choices = List.copyOf(choices);
        columns = List.copyOf(columns);
    }

    private static GaugeField of(String name, Type type, List<GaugeField> columns) {
        String label = name.isEmpty() ? "" : Character.toUpperCase(name.charAt(0)) + name.substring(1);
        return new GaugeField(
                name, label, type, Optional.empty(), false, false, "", List.of(), columns, Optional.empty());
    }

    private static GaugeField of(String name, Type type, QuantityKind kind) {
        return of(name, type, List.of()).hint(kind.example()).with(kind);
    }

    public static GaugeField quantity(String name, QuantityKind kind) {
        return of(name, Type.QUANTITY, kind);
    }

    public static GaugeField list(String name, QuantityKind kind) {
        return of(name, Type.LIST, kind);
    }

    public static GaugeField corners(String name, QuantityKind kind) {
        return of(name, Type.CORNERS, kind);
    }

    public static GaugeField text(String name) {
        return of(name, Type.TEXT, List.of());
    }

    public static GaugeField flag(String name) {
        return of(name, Type.FLAG, List.of());
    }

    /** One of some; the first where nothing is said. */
    public static GaugeField choice(String name, String... choices) {
        GaugeField f = of(name, Type.CHOICE, List.of());
        return new GaugeField(
                f.name, f.label, f.type, f.kind, f.needed, f.known, f.hint, List.of(choices), f.columns, f.last);
    }

    public static GaugeField rows(String name, GaugeField... columns) {
        return of(name, Type.ROWS, List.of(columns));
    }

    public static GaugeField part(String name, GaugeField... columns) {
        return of(name, Type.PART, List.of(columns));
    }

    public static GaugeField wheels(GaugeField... columns) {
        return of("", Type.WHEELS, List.of(columns));
    }

    private GaugeField with(QuantityKind of) {
        return new GaugeField(name, label, type, Optional.of(of), needed, known, hint, choices, columns, last);
    }

    /** The same, without which there is no answer. */
    public GaugeField must() {
        return new GaugeField(name, label, type, kind, true, known, hint, choices, columns, last);
    }

    /** The same, true of the car from sheet to sheet. */
    public GaugeField ofTheCar() {
        return new GaugeField(name, label, type, kind, needed, true, hint, choices, columns, last);
    }

    /** The same with what to write, or how it is measured. */
    public GaugeField hint(String text) {
        return new GaugeField(name, label, type, kind, needed, known, text, choices, columns, last);
    }

    /** The same under another word. */
    public GaugeField called(String other) {
        return new GaugeField(name, other, type, kind, needed, known, hint, choices, columns, last);
    }

    /** The same, beginning with that figure of the other gauge's last sheet. */
    public GaugeField from(String gauge, String figure) {
        return new GaugeField(
                name,
                label,
                type,
                kind,
                needed,
                known,
                hint,
                choices,
                columns,
                Optional.of(new LastFigure(gauge, figure)));
    }
}
