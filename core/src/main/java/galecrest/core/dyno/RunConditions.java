package galecrest.core.dyno;

import java.util.Locale;
import java.util.Optional;

/**
 * How a run was driven; runs that differ in it say nothing of each other.
 *
 * @param dyno which rolling road
 * @param gear as people say it; empty where nobody said, as the others
 * @param pressure of the driven tyres, Pa; NaN where nobody said
 * @param straps their pattern
 * @param fuel what was in the tank
 */
public record RunConditions(String dyno, String gear, double pressure, String straps, String fuel) {
    /** Tyres that differ by more than this roll otherwise: common practice, Pa. */
    public static final double ALIKE_PRESSURE = 10_000;

    /** What makes this unlike another run, in words; empty where they are alike, or nothing is known. */
    public Optional<String> unlike(RunConditions other) {
        return differs("", dyno, other.dyno)
                .or(() -> differs("gear ", gear, other.gear))
                .or(() -> Math.abs(pressure - other.pressure) > ALIKE_PRESSURE
                        ? Optional.of(
                                String.format(Locale.ROOT, "%.1f bar, not %.1f", pressure / 1e5, other.pressure / 1e5))
                        : Optional.empty())
                .or(() -> differs("straps ", straps, other.straps))
                .or(() -> differs("fuel ", fuel, other.fuel));
    }

    private static Optional<String> differs(String what, String said, String other) {
        return said.isBlank() || other.isBlank() || said.strip().equalsIgnoreCase(other.strip())
                ? Optional.empty()
                : Optional.of(what + said.strip() + ", not " + other.strip());
    }
}
