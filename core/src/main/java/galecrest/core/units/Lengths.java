package galecrest.core.units;

import java.util.Locale;
import java.util.Optional;

/** Lengths in millimetres, as joints and tubes are told of. */
public final class Lengths {
    private static final double METRE = 1000;

    private Lengths() {}

    /** The millimetres that a text says, as {@code 10 thou}, {@code 0.25 mm} or {@code 1 3/4 in}; empty where it says none. */
    public static Optional<Double> millimetres(String text) {
        try {
            return Optional.of(METRE * QuantityText.read(QuantityKind.LENGTH, text, UnitSystem.METRIC));
        } catch (QuantityText.Unreadable none) {
            return Optional.empty();
        }
    }

    /** Millimetres without needless noughts, to a hundredth, or to a thousandth below one. */
    public static String say(double millimetres) {
        String text = String.format(Locale.ROOT, Math.abs(millimetres) < 1 ? "%.3f" : "%.2f", millimetres);
        return text.replaceAll("\\.?0+$", "") + " mm";
    }
}
