package galecrest.bench;

import java.util.Arrays;
import java.util.Locale;

/** Measured times, in milliseconds. */
record Times(double[] millis) {
    /** Something to measure. */
    interface Step {
        void run(int round) throws Exception;
    }

    /** Runs a step so many times after so many to warm up. */
    static Times of(int warmUp, int rounds, Step step) {
        double[] millis = new double[rounds];
        try {
            for (int i = 0; i < warmUp + rounds; i++) {
                long start = System.nanoTime();
                step.run(i);
                if (i >= warmUp) {
                    millis[i - warmUp] = (System.nanoTime() - start) / 1e6;
                }
            }
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
        Arrays.sort(millis);
        return new Times(millis);
    }

    double median() {
        return quantile(millis, 0.5);
    }

    /** The value below which a share of the values lies. */
    static double quantile(double[] values, double share) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[(int) Math.min(sorted.length - 1, Math.floor(sorted.length * share))];
    }

    double p95() {
        return millis[Math.min(millis.length - 1, (int) Math.ceil(millis.length * 0.95) - 1)];
    }

    String row(String what) {
        return String.format(Locale.ROOT, "| %s | %d | %.1f | %.1f |", what, millis.length, median(), p95());
    }
}
