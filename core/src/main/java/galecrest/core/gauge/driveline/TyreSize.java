package galecrest.core.gauge.driveline;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The size that is moulded on a tyre, as {@code 205/50R15}: width in mm, height of the side as per cent of it, rim in inches
 * (ISO 4000-1).
 */
public record TyreSize(double width, double aspect, double rim) {
    private static final Pattern TEXT =
            Pattern.compile("(\\d{3})\\s*/\\s*(\\d{2})\\s*(?:Z?R|-)?\\s*(\\d{2}(?:\\.5)?).*");

    /** The size that a text says; empty where it says none. */
    public static Optional<TyreSize> read(String text) {
        Matcher m = TEXT.matcher(text.strip().toUpperCase(java.util.Locale.ROOT));
        return m.matches()
                ? Optional.of(new TyreSize(
                        Double.parseDouble(m.group(1)) / 1000,
                        Double.parseDouble(m.group(2)) / 100,
                        Double.parseDouble(m.group(3)) * 0.0254))
                : Optional.empty();
    }

    /** Outside diameter without load, m. */
    public double diameter() {
        return rim + 2 * width * aspect;
    }
}
