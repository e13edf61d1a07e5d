package galecrest.core.units;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.measure.Unit;
import javax.measure.UnitConverter;

/**
 * Quantities as people write them, there and back: {@code 10 thou}, {@code 1 3/4 in}, {@code 2,5 turns}, {@code -1° 12'},
 * {@code -8AN}. A bare number is of the unit that is shown first. Inside they are numbers in SI units.
 */
public final class QuantityText {
    private static final String NUMBER =
            "([-+−]?)\\s*(?:(\\d+)\\s+(?=\\d+/))?(\\d+(?:[.,]\\d*)?|[.,]\\d+)(?:/(\\d+))?\\s*";
    private static final Pattern ONE = Pattern.compile(NUMBER + "([^\\d\\s+−-][^\\d]*?|1/(?:min|s)|in3|cm3|kg/m3)?");
    private static final Pattern DEGREES_MINUTES =
            Pattern.compile("([-+−]?)\\s*(\\d{1,6})\\s*°\\s*(\\d+(?:[.,]\\d+)?)\\s*['′]");
    /** Sizes of tubes and their fittings by sixteenths of an inch of outside diameter (SAE AS4395, SAE J514). */
    private static final Pattern DASH = Pattern.compile("-(\\d{1,2})\\s*(?:AN|an|JIC|jic)");

    /** Longer than any quantity that somebody writes. */
    private static final int LONGEST = 100;

    private QuantityText() {}

    /** A text that is no such quantity, with what is wrong in words. */
    public static final class Unreadable extends IllegalArgumentException {
        private static final long serialVersionUID = 1;

        Unreadable(String message) {
            super(message);
        }
    }

    /**
     * The value in the SI unit of its kind.
     *
     * @param system whose unit a bare number has
     * @throws Unreadable where the text says no such quantity
     */
    public static double read(QuantityKind kind, String text, Units system) {
        String said = text.strip();
        if (said.length() > LONGEST) {
            throw new Unreadable("\"" + said.substring(0, 20) + "…\" is no " + kind.label() + ". Write it like "
                    + kind.example() + ".");
        }
        Optional<Double> special = special(kind, said);
        if (special.isPresent()) {
            return special.get();
        }
        Matcher m = ONE.matcher(said);
        if (!m.matches()) {
            throw new Unreadable("\"" + said + "\" is no " + kind.label() + ". Write it like " + kind.example() + ".");
        }
        double value = number(m);
        String label = m.group(5) == null ? "" : m.group(5).strip();
        QuantityKind.Written unit = label.isEmpty()
                ? kind.shown(system.of(kind))
                : kind.named(label).orElseThrow(() -> new Unreadable(unknown(kind, said, label)));
        return converter(unit.unit(), kind.kept()).convert(value);
    }

    private static Optional<Double> special(QuantityKind kind, String said) {
        Matcher dash = DASH.matcher(said);
        if (kind == QuantityKind.LENGTH && dash.matches()) {
            return Optional.of(Integer.parseInt(dash.group(1)) * 0.0254 / 16);
        }
        Matcher angle = DEGREES_MINUTES.matcher(said);
        if (kind == QuantityKind.ANGLE && angle.matches()) {
            double degrees = Integer.parseInt(angle.group(2)) + decimal(angle.group(3)) / 60;
            return Optional.of(Math.toRadians(minus(angle.group(1)) ? -degrees : degrees));
        }
        if (kind == QuantityKind.TURNS && said.matches("(a|one) quarter( turn)?|quarter turn")) {
            return Optional.of(0.25);
        }
        if (kind == QuantityKind.TURNS && said.matches("(a )?half( a)?( turn)?")) {
            return Optional.of(0.5);
        }
        return Optional.empty();
    }

    private static String unknown(QuantityKind kind, String said, String label) {
        for (QuantityKind other : QuantityKind.values()) {
            if (other.named(label).isPresent()) {
                return "\"" + said + "\" is a " + other.label() + ", and a " + kind.label()
                        + " is wanted. Write it like " + kind.example() + ".";
            }
        }
        return "\"" + label + "\" is no unit of a " + kind.label() + ". Write it like " + kind.example() + ".";
    }

    private static double number(Matcher m) {
        double value = decimal(m.group(3));
        if (m.group(4) != null) {
            double parts = decimal(m.group(4));
            if (parts == 0) {
                throw new Unreadable("\"" + m.group() + "\" divides by nought.");
            }
            value /= parts;
        }
        value += m.group(2) == null ? 0 : decimal(m.group(2));
        return minus(m.group(1)) ? -value : value;
    }

    private static boolean minus(String sign) {
        return sign.equals("-") || sign.equals("−");
    }

    private static double decimal(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    /** The value in the unit that is shown, without needless noughts; the sign of an angle follows at once (ISO 80000-1). */
    public static String say(QuantityKind kind, double value, Units system) {
        if (Double.isNaN(value)) {
            return "unknown";
        }
        QuantityKind.Written unit = kind.shown(system.of(kind));
        String space = kind == QuantityKind.ANGLE ? "" : " ";
        return (rounded(in(kind, value, system), unit.decimals()) + space + unit.label()).strip();
    }

    /** The value as it is shown, and in the other system beside it where that has another unit. */
    public static String sayBoth(QuantityKind kind, double value, Units system) {
        String other = say(kind, value, system.of(kind).other());
        String first = say(kind, value, system);
        return first.equals(other) ? first : first + " (" + other + ")";
    }

    /** The number of the unit that is shown. */
    public static double in(QuantityKind kind, double value, Units system) {
        return Double.isFinite(value)
                ? converter(kind.kept(), kind.shown(system.of(kind)).unit()).convert(value)
                : value;
    }

    /** The name of the unit that is shown. */
    public static String unit(QuantityKind kind, Units system) {
        return kind.shown(system.of(kind)).label();
    }

    private static String rounded(double value, int decimals) {
        String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
        String bare = text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
        return bare.equals("-0") ? "0" : bare;
    }

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static UnitConverter converter(Unit<?> from, Unit<?> to) {
        return ((Unit) from).getConverterTo((Unit) to);
    }
}
