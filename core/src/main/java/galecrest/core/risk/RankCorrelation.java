package galecrest.core.risk;

import java.util.Arrays;

/** Rank correlation (Spearman, 1904): Pearson's correlation of the ranks, equal values sharing their mean rank. */
final class RankCorrelation {
    private RankCorrelation() {}

    static double[] of(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        double[] ranks = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            int first = first(sorted, values[i], false);
            ranks[i] = (first + first(sorted, values[i], true) - 1) / 2.0;
        }
        return ranks;
    }

    /** The first place of the value in a sorted array, or the first beyond it. */
    private static int first(double[] sorted, double value, boolean beyond) {
        int low = 0;
        int high = sorted.length;
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (sorted[mid] < value || beyond && sorted[mid] == value) {
                low = mid + 1;
            } else {
                high = mid;
            }
        }
        return low;
    }

    /** The correlation of two rankings; 0 where one of them is all ties. */
    static double correlation(double[] a, double[] b) {
        double mean = (a.length - 1) / 2.0;
        double ab = 0;
        double aa = 0;
        double bb = 0;
        for (int i = 0; i < a.length; i++) {
            ab += (a[i] - mean) * (b[i] - mean);
            aa += (a[i] - mean) * (a[i] - mean);
            bb += (b[i] - mean) * (b[i] - mean);
        }
        return aa == 0 || bb == 0 ? 0 : ab / Math.sqrt(aa * bb);
    }
}
