package galecrest.core.gauge.power;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Repeat runs before and after a change, judged by Welch's test: whether the difference is more than such runs scatter anyway.
 *
 * @param difference of the means, after less before, W
 * @param error its standard error, W; NaN with less than two runs on a side
 * @param freedom degrees of freedom by Welch and Satterthwaite
 * @param least half the width of the difference's interval at that confidence, W: what is less is not called real
 * @param verdict what it is called
 */
public record PowerComparison(double difference, double error, double freedom, double least, Verdict verdict) {
    /** How often a difference of the size that is worth finding is to be found. */
    public static final double POWER = 0.8;
    /** More repeat runs than anybody drives. */
    private static final int MOST_RUNS = 60;
    /** Into how many equally likely parts a variance is cut. */
    private static final int STEPS = 24;

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
        double freedom = freedom(a, before.length, b, after.length);
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
    public static double quantile(double confidence, int comparisons, double freedom) {
        return TDistribution.of(freedom).inverseCumulativeProbability(1 - (1 - confidence) / comparisons / 2);
    }

    /** How likely runs without any change differ by so much, by luck alone; NaN where that cannot be told. */
    public double chance() {
        return error > 0 ? 2 * TDistribution.of(freedom).survivalProbability(Math.abs(difference) / error) : Double.NaN;
    }

    /**
     * The change that so many runs on each side find in {@link #POWER} of the cases, W. The scatter is not known on the day but
     * estimated by the runs themselves, so that what is found is a mean over all that they may estimate: over both variances,
     * by their chi-squared distributions.
     *
     * @param scatter standard deviation of a run, W
     */
    public static double findable(double scatter, int before, int after, double confidence, int comparisons) {
        double error = Math.sqrt(1.0 / before + 1.0 / after);
        double[] critical = new double[STEPS * STEPS];
        double[] a = variances(before);
        double[] b = variances(after);
        for (int i = 0; i < critical.length; i++) {
            double x = a[i / STEPS];
            double y = b[i % STEPS];
            critical[i] = Math.sqrt(x + y) * quantile(confidence, comparisons, freedom(x, before, y, after)) / error;
        }
        NormalDistribution normal = NormalDistribution.of(0, 1);
        double least = 0;
        double most = 1_000;
        while (most - least > 1e-4) {
            double errors = (least + most) / 2;
            double found = Arrays.stream(critical)
                    .map(c -> normal.survivalProbability(c - errors))
                    .average()
                    .orElseThrow();
            least = found < POWER ? errors : least;
            most = found < POWER ? most : errors;
        }
        return most * error * scatter;
    }

    /** What so many runs that scatter by 1 may say of the variance of their mean, each as likely as the others. */
    private static double[] variances(int runs) {
        ChiSquaredDistribution sum = ChiSquaredDistribution.of(runs - 1.0);
        return IntStream.range(0, STEPS)
                .mapToDouble(i -> sum.inverseCumulativeProbability((i + 0.5) / STEPS) / (runs - 1) / runs)
                .toArray();
    }

    /** Degrees of freedom by Welch and Satterthwaite, of the variances of two means. */
    private static double freedom(double a, int before, double b, int after) {
        return (a + b) * (a + b) / (a * a / (before - 1) + b * b / (after - 1));
    }

    /** What one run scatters, W, from both sides together; NaN where nothing tells. */
    public static double scatter(double[] before, double[] after) {
        int freedom = Math.max(0, before.length - 1) + Math.max(0, after.length - 1);
        double squares = (before.length < 2 ? 0 : variance(before) * (before.length - 1))
                + (after.length < 2 ? 0 : variance(after) * (after.length - 1));
        return freedom > 0 ? Math.sqrt(squares / freedom) : Double.NaN;
    }

    /**
     * How many runs on each side find a change of that size in {@link #POWER} of the cases; 0 where {@value #MOST_RUNS} do not.
     *
     * @param scatter standard deviation of a run, W
     */
    public static int needed(double scatter, double worth, double confidence) {
        // Known scatter would need so many at the least; with an estimated one it takes more.
        double known = NormalDistribution.of(0, 1).inverseCumulativeProbability((1 + confidence) / 2)
                + NormalDistribution.of(0, 1).inverseCumulativeProbability(POWER);
        int least = (int) Math.min(MOST_RUNS + 1, Math.floor(2 * Math.pow(known * scatter / worth, 2)));
        for (int runs = Math.max(2, least); runs <= MOST_RUNS; runs++) {
            if (findable(scatter, runs, runs, confidence, 1) <= worth) {
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
