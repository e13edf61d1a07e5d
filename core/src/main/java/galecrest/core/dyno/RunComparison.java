package galecrest.core.dyno;

import galecrest.core.gauge.power.PowerComparison;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Runs before and after a change: over a range of engine speeds, and bin by bin, where so many bins looked at together are each
 * judged more strictly.
 *
 * @param range the mean power over all of the range
 * @param before mean power of each run over the range, W
 * @param after the same after the change
 * @param bins from the lowest speed
 * @param drift by how much the power went from run to run without a change, W a run; NaN where that cannot be told from scatter
 */
public record RunComparison(PowerComparison range, double[] before, double[] after, List<Bin> bins, double drift) {
    /** Width of a bin, turns a second: 100 rpm. */
    public static final double BIN = 100.0 / 60;

    private static final int LEAST_FOR_DRIFT = 5;

    /**
     * Runs between two speeds.
     *
     * @param from lowest edge, turns a second
     * @param before mean of the runs before, W
     * @param compared how the bin is judged
     */
    public record Bin(double from, double to, double before, double after, PowerComparison compared) {}

    /** A run with what its power is multiplied with, and when it was driven among the others: 1 is the first. */
    public record Driven(PowerRun run, double factor, int order) {}

    /**
     * The comparison from one engine speed to another, both in turns a second; each run goes through all of it.
     *
     * @param confidence how seldom no change at all is called real: 0.95 calls one in twenty so
     * @param comparisons how many ranges are looked at
     * @param worth the smallest change that matters, W; NaN where nobody says
     */
    public static RunComparison of(
            List<Driven> before,
            List<Driven> after,
            double from,
            double to,
            double confidence,
            int comparisons,
            double worth) {
        int count = (int) Math.max(1, Math.round((to - from) / BIN));
        double[] edges = new double[count + 1];
        Arrays.setAll(edges, i -> from + (to - from) * i / count);
        double[][] b = each(before, edges);
        double[][] a = each(after, edges);
        List<Bin> bins = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double[] left = column(b, i);
            double[] right = column(a, i);
            bins.add(new Bin(
                    edges[i],
                    edges[i + 1],
                    PowerComparison.mean(left),
                    PowerComparison.mean(right),
                    PowerComparison.of(left, right, confidence, count, Double.NaN)));
        }
        double[] meanBefore = over(b);
        double[] meanAfter = over(a);
        return new RunComparison(
                PowerComparison.of(meanBefore, meanAfter, confidence, comparisons, worth),
                meanBefore,
                meanAfter,
                bins,
                drift(before, meanBefore, after, meanAfter, confidence));
    }

    private static double[][] each(List<Driven> runs, double[] edges) {
        return runs.stream()
                .map(d -> Arrays.stream(d.run().bins(edges))
                        .map(p -> p * d.factor())
                        .toArray())
                .toArray(double[][]::new);
    }

    private static double[] column(double[][] runs, int bin) {
        return Arrays.stream(runs).mapToDouble(r -> r[bin]).toArray();
    }

    /** All bins are of one width, so that the mean of their means is the mean over the range. */
    private static double[] over(double[][] runs) {
        return Arrays.stream(runs).mapToDouble(PowerComparison::mean).toArray();
    }

    /**
     * The slope over the order of driving that both sides have in common, by least squares within the sides; NaN where it is
     * inside of what the runs scatter.
     */
    private static double drift(
            List<Driven> before, double[] meanBefore, List<Driven> after, double[] meanAfter, double confidence) {
        int size = before.size() + after.size();
        if (size < LEAST_FOR_DRIFT) {
            return Double.NaN;
        }
        double[] sums = new double[3];
        within(before, meanBefore, sums);
        within(after, meanAfter, sums);
        if (sums[0] == 0) {
            return Double.NaN;
        }
        double slope = sums[1] / sums[0];
        double rest = Math.max(0, sums[2] - slope * sums[1]);
        double error = Math.sqrt(rest / (size - 3) / sums[0]);
        return Math.abs(slope) > error * PowerComparison.quantile(confidence, 1, size - 3) ? slope : Double.NaN;
    }

    /** Adds the sums of squares and products about the side's own means. */
    private static void within(List<Driven> side, double[] power, double[] sums) {
        double order = side.stream().mapToInt(Driven::order).average().orElse(0);
        double mean = PowerComparison.mean(power);
        for (int i = 0; i < power.length; i++) {
            double x = side.get(i).order() - order;
            double y = power[i] - mean;
            sums[0] += x * x;
            sums[1] += x * y;
            sums[2] += y * y;
        }
    }
}
