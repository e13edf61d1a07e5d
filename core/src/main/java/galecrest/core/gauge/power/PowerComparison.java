package galecrest.core.gauge.power;

import java.util.Arrays;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Repeat runs before and after a change, judged by Welch's test: whether the difference is more than such runs scatter anyway.
 *
 * @param difference of the means, after less before, W
 * @param error its standard error, W; NaN with less than two runs on a side
 * @param freedom degrees of freedom by Welch and Satterthwaite
 * @param least the smallest difference that so many runs with such a scatter could show at that confidence, W
 * @param verdict what it is called
 */
public record PowerComparison(double difference, double error, double freedom, double least, Verdict verdict) {
    /** How often a difference of the size that is worth finding is to be found. */
    public static final double POWER = 0.8;
    /** More repeat runs than anybody drives. */
    private static final int MOST_RUNS = 60;

    /** What a difference is called. */
    public enum Verdict {
        REAL,
        INSIDE_THE_NOISE,
        NOT_ENOUGH_RUNS
    }

    /**
     * The comparison.
     *
     * @param before power of each run before the change, W
     * @param after power of each run after it
     * @param confidence how seldom no change at all is called real: 0.95 calls one in twenty so
     * @param comparisons how many such comparisons are made at once; each is judged more strictly (Bonferroni)
     * @param worth the smallest change that matters, W; NaN where nobody says. Runs that could not show it are not enough
     */
    public static PowerComparison of(
            double[] before, double[] after, double confidence, int comparisons, double worth) {
        double difference = mean(after) - mean(before);
        if (before.length < 2 || after.length < 2) {
            return new PowerComparison(difference, Double.NaN, Double.NaN, Double.NaN, Verdict.NOT_ENOUGH_RUNS);
        }
        double a = variance(before) / before.length;
        double b = variance(after) / after.length;
        double error = Math.sqrt(a + b);
        if (error == 0) {
            // Runs that agree to the last digit are one run that was written down twice: they tell no scatter.
            return new PowerComparison(difference, 0, Double.NaN, Double.NaN, Verdict.NOT_ENOUGH_RUNS);
        }
        double freedom = (a + b) * (a + b) / (a * a / (before.length - 1) + b * b / (after.length - 1));
        double least = error * quantile(confidence, comparisons, freedom);
        boolean real = Math.abs(difference) > least;
        boolean blunt = !Double.isNaN(worth) && least > worth;
        return new PowerComparison(
                difference,
                error,
                freedom,
                least,
                real ? Verdict.REAL : blunt ? Verdict.NOT_ENOUGH_RUNS : Verdict.INSIDE_THE_NOISE);
    }

    /** Two-sided: the t beyond which less than 1 − confidence lies, shared among the comparisons. */
    private static double quantile(double confidence, int comparisons, double freedom) {
        return TDistribution.of(freedom).inverseCumulativeProbability(1 - (1 - confidence) / comparisons / 2);
    }

    /**
     * How many runs on each side find a change of that size in {@link #POWER} of the cases; 0 where {@value #MOST_RUNS} do not.
     *
     * @param scatter standard deviation of a run, W
     */
    public static int needed(double scatter, double worth, double confidence) {
        for (int runs = 2; runs <= MOST_RUNS; runs++) {
            double freedom = 2.0 * (runs - 1);
            double found = TDistribution.of(freedom).inverseCumulativeProbability(POWER);
            if ((quantile(confidence, 1, freedom) + found) * scatter * Math.sqrt(2.0 / runs) <= worth) {
                return runs;
            }
        }
        return 0;
    }

    public static double mean(double[] runs) {
        return Arrays.stream(runs).average().orElse(Double.NaN);
    }

    /** The variance of which the runs are a sample. */
    public static double variance(double[] runs) {
        double mean = mean(runs);
        return Arrays.stream(runs).map(x -> (x - mean) * (x - mean)).sum() / (runs.length - 1);
    }
}
