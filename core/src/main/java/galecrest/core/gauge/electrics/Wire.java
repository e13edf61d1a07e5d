package galecrest.core.gauge.electrics;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A copper wire of a standard size.
 *
 * @param name as it is ordered: "2.5 mm²", "12 AWG"
 * @param area of the copper, m²
 */
public record Wire(String name, double area) {
    /** Resistivity of annealed copper at 20 °C, Ω·m (IEC 60028). */
    public static final double COPPER = 1.7241e-8;
    /** Of its resistance for each kelvin (IEC 60028). */
    private static final double WARMS = 0.00393;

    private static final double WARM_KELVIN = 60;
    /** What a bundle of thin-walled wires carries for long: A for mm² to this power (a fit to common practice, from memory). */
    private static final double CARRIES = 15;

    private static final double CARRIES_POWER = 0.7;
    private static final double SQUARE_MILLIMETRE = 1e-6;

    /** Sizes of ISO 6722, mm². */
    private static final List<Double> METRIC =
            List.of(0.35, 0.5, 0.75, 1.0, 1.5, 2.5, 4.0, 6.0, 10.0, 16.0, 25.0, 35.0, 50.0);
    /** The thinnest that is worth crimping, and the thickest. */
    private static final int THIN_AWG = 22;

    private static final int STEP = 2;

    /** The metric sizes, the thinnest first. */
    public static List<Wire> metric() {
        return METRIC.stream()
                .map(mm -> new Wire(
                        (mm == Math.rint(mm) ? String.format(Locale.ROOT, "%.0f", mm) : String.valueOf(mm)) + " mm²",
                        mm * SQUARE_MILLIMETRE))
                .toList();
    }

    /** Even gauges of ASTM B258 from 22 to 2, and 0, the thinnest first. */
    public static List<Wire> gauges() {
        Stream<Integer> even = IntStream.rangeClosed(0, THIN_AWG / STEP).mapToObj(i -> THIN_AWG - STEP * i);
        return even.map(Wire::awg).toList();
    }

    /** A gauge: d = 0.127 mm · 92^((36 − n) / 39) (ASTM B258). */
    public static Wire awg(int gauge) {
        double diameter = 0.127e-3 * Math.pow(92, (36 - gauge) / 39.0);
        return new Wire(gauge + " AWG", Math.PI / 4 * diameter * diameter);
    }

    /** Ω for each metre at 20 °C. */
    public double perMetre() {
        return COPPER / area;
    }

    /** Ω for each metre while it is warm from its current, at 60 °C. */
    public double warmPerMetre() {
        return perMetre() * (1 + WARMS * (WARM_KELVIN - 20));
    }

    /** What it carries for long in a bundle, A. The maker's table goes before. */
    public double carries() {
        return CARRIES * Math.pow(area / SQUARE_MILLIMETRE, CARRIES_POWER);
    }
}
