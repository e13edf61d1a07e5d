package galecrest.core.units;

import static javax.measure.MetricPrefix.MILLI;
import static tech.units.indriya.unit.Units.METRE;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.measure.Quantity;
import javax.measure.Unit;
import javax.measure.quantity.Length;
import tech.units.indriya.quantity.Quantities;

/** Lengths as people write them: {@code 10 thou}, {@code 0.25 mm}, {@code 1 3/4 in}, {@code 2.5"}. */
public final class Lengths {
    /** The unit that lengths are kept in. */
    public static final Unit<Length> MILLIMETRE = MILLI(METRE);
    /** International inch, 25.4 mm exactly (ISO 80000-3, international yard and pound agreement of 1959). */
    public static final Unit<Length> INCH = MILLIMETRE.multiply(25.4);

    private static final Unit<Length> THOU = INCH.divide(1000);
    private static final Map<String, Unit<Length>> UNITS = Map.of(
            "",
            MILLIMETRE,
            "mm",
            MILLIMETRE,
            "cm",
            MILLIMETRE.multiply(10),
            "m",
            METRE,
            "in",
            INCH,
            "inch",
            INCH,
            "\"",
            INCH,
            "thou",
            THOU);
    private static final Pattern TEXT =
            Pattern.compile("([-+]?)\\s*(?:(\\d+)\\s+)?(\\d+(?:[.,]\\d+)?)(?:/(\\d+))?\\s*(mm|cm|m|inch|in|\"|thou)?");

    private Lengths() {}

    /** The length that a text says, a bare number being millimetres; empty where it says none. */
    public static Optional<Quantity<Length>> read(String text) {
        Matcher m = TEXT.matcher(text.strip().toLowerCase(Locale.ROOT));
        if (!m.matches() || (m.group(2) != null && m.group(4) == null)) {
            return Optional.empty();
        }
        double value = number(m.group(3)) / (m.group(4) == null ? 1 : number(m.group(4)))
                + (m.group(2) == null ? 0 : number(m.group(2)));
        if (!Double.isFinite(value)) {
            return Optional.empty();
        }
        Unit<Length> unit = UNITS.get(m.group(5) == null ? "" : m.group(5));
        return Optional.of(Quantities.getQuantity("-".equals(m.group(1)) ? -value : value, unit));
    }

    /** The same in millimetres. */
    public static Optional<Double> millimetres(String text) {
        return read(text).map(Lengths::inMillimetres);
    }

    /** The length in millimetres. */
    public static double inMillimetres(Quantity<Length> length) {
        return length.to(MILLIMETRE).getValue().doubleValue();
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    /** Millimetres without needless noughts, to a hundredth, or to a thousandth below one. */
    public static String say(double millimetres) {
        String text = String.format(Locale.ROOT, Math.abs(millimetres) < 1 ? "%.3f" : "%.2f", millimetres);
        return text.replaceAll("\\.?0+$", "") + " mm";
    }
}
