package galecrest.core.gauge.track;

import java.util.Arrays;

/**
 * The laps of a run, and what they say.
 *
 * @param laps the laps that count, s
 * @param slow how many were left out because they were slower than {@link #SLOW} times the best
 */
public record LapRun(double[] laps, int slow) {
    /** A lap that is slower than this share of the best was no lap at speed: common practice. */
    public static final double SLOW = 1.07;

    /** The run with all its laps in order; at least one. */
    public static LapRun of(double[] all) {
        double best = Arrays.stream(all).min().orElseThrow();
        double[] counted = Arrays.stream(all).filter(t -> t <= SLOW * best).toArray();
        return new LapRun(counted, all.length - counted.length);
    }

    public double best() {
        return Arrays.stream(laps).min().orElseThrow();
    }

    public double mean() {
        return Arrays.stream(laps).average().orElseThrow();
    }

    /** From the best to the slowest lap that counts. */
    public double spread() {
        return Arrays.stream(laps).max().orElseThrow() - best();
    }

    /** The standard deviation of the sample; 0 of a single lap. */
    public double deviation() {
        double mean = mean();
        return laps.length < 2
                ? 0
                : Math.sqrt(
                        Arrays.stream(laps).map(t -> (t - mean) * (t - mean)).sum() / (laps.length - 1));
    }

    /** How like each other the laps are: 1 less the deviation as a share of the mean. */
    public double consistency() {
        return 1 - deviation() / mean();
    }

    /** The standard error of the difference of two means, of runs that vary each for itself. */
    public double errorAgainst(LapRun other) {
        return Math.sqrt(
                deviation() * deviation() / laps.length + other.deviation() * other.deviation() / other.laps.length);
    }
}
