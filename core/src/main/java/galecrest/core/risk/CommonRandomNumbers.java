package galecrest.core.risk;

/**
 * Random numbers that hang on what they are for, not on the order in which they are asked: of a seed, the trial and the
 * thing. So two plans of one shop have the same luck in all that they share (common random numbers), and the number of
 * threads does not matter. Mixing by SplitMix64 (Steele, Lea and Flood, 2014).
 */
public final class CommonRandomNumbers {
    private CommonRandomNumbers() {}

    /** A number in [0, 1) for a trial and a thing. */
    public static double of(long seed, int trial, long thing) {
        long z = mix(seed + 0x9E3779B97F4A7C15L * (trial + 1));
        return (mix(z ^ mix(thing)) >>> 11) * 0x1.0p-53;
    }

    /** The thing that a text names, under a kind. */
    public static long thing(RiskProfile.What what, String id) {
        long hash = 1125899906842597L + what.ordinal();
        for (int i = 0; i < id.length(); i++) {
            hash = 31 * hash + id.charAt(i);
        }
        return hash;
    }

    private static long mix(long value) {
        long z = value + 0x9E3779B97F4A7C15L;
        z = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
        z = (z ^ (z >>> 27)) * 0x94D049BB133111EBL;
        return z ^ (z >>> 31);
    }
}
