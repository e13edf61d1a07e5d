package galecrest.core.gauge.heat;

import java.util.Optional;
import org.apache.commons.statistics.distribution.TDistribution;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;

/**
 * A temperature that goes towards a steady one as a body warmed by a constant power does (Newton's law of cooling, any text on
 * heat transfer): T(t) = steady − (steady − begin) · e^(−t/τ), fitted to a trace by least squares.
 *
 * @param steady K
 * @param begin at the first sample, K
 * @param tau time constant, s
 * @param steadyError half the width of the 95 % interval, K; it holds where the samples scatter each for itself
 * @param tauError the same of the time constant, s
 * @param scatter of a sample about the curve, K
 * @param covariance of steady, begin and ln τ, for what is reckoned from them
 * @param freedom samples less the three that were fitted
 */
public record HeatSoak(
        double steady,
        double begin,
        double tau,
        double steadyError,
        double tauError,
        double scatter,
        double[][] covariance,
        int freedom) {
    private static final int LEAST = 6;
    private static final double CONFIDENCE = 0.95;
    private static final int MOST_STEPS = 400;

    /**
     * The fit to a trace; empty where there are too few samples, they are all alike, or no such curve comes near them.
     *
     * @param time s, rising
     * @param temperature K
     */
    public static Optional<HeatSoak> fit(double[] time, double[] temperature) {
        int size = time.length;
        double span = size == 0 ? 0 : time[size - 1] - time[0];
        if (size < LEAST || !(span > 0)) {
            return Optional.empty();
        }
        double first = temperature[0];
        double last = temperature[size - 1];
        double[] start = {last + (last - first) * 0.2, first, Math.log(span / 2)};
        try {
            LeastSquaresOptimizer.Optimum best = new LevenbergMarquardtOptimizer()
                    .optimize(new LeastSquaresBuilder()
                            .start(start)
                            .target(temperature)
                            .model(p -> values(p, time), p -> slopes(p, time))
                            .maxEvaluations(MOST_STEPS)
                            .maxIterations(MOST_STEPS)
                            .build());
            double[] p = best.getPoint().toArray();
            double variance = best.getResiduals().dotProduct(best.getResiduals()) / (size - 3);
            RealMatrix covariance = best.getCovariances(1e-14).scalarMultiply(variance);
            double t = TDistribution.of(size - 3.0).inverseCumulativeProbability((1 + CONFIDENCE) / 2);
            double tau = Math.exp(p[2]);
            return Optional.of(new HeatSoak(
                    p[0],
                    p[1],
                    tau,
                    t * Math.sqrt(covariance.getEntry(0, 0)),
                    t * tau * Math.sqrt(covariance.getEntry(2, 2)),
                    Math.sqrt(variance),
                    covariance.getData(),
                    size - 3));
        } catch (MathRuntimeException none) {
            return Optional.empty();
        }
    }

    private static double[] values(double[] p, double[] time) {
        double[] all = new double[time.length];
        for (int i = 0; i < all.length; i++) {
            all[i] = p[0] - (p[0] - p[1]) * Math.exp(-(time[i] - time[0]) / Math.exp(p[2]));
        }
        return all;
    }

    /** By steady, begin and ln τ. */
    private static double[][] slopes(double[] p, double[] time) {
        double[][] all = new double[time.length][];
        for (int i = 0; i < all.length; i++) {
            double share = (time[i] - time[0]) / Math.exp(p[2]);
            double left = Math.exp(-share);
            all[i] = new double[] {1 - left, left, -(p[0] - p[1]) * left * share};
        }
        return all;
    }

    /** The temperature so long after the first sample, K. */
    public double at(double seconds) {
        return steady - (steady - begin) * Math.exp(-seconds / tau);
    }

    /** Half the width of the 95 % interval of the curve at that time, K. */
    public double errorAt(double seconds) {
        double share = seconds / tau;
        double left = Math.exp(-share);
        double[] slope = {1 - left, left, -(steady - begin) * left * share};
        double variance = 0;
        for (int i = 0; i < slope.length; i++) {
            for (int k = 0; k < slope.length; k++) {
                variance += slope[i] * slope[k] * covariance[i][k];
            }
        }
        return TDistribution.of(freedom).inverseCumulativeProbability((1 + CONFIDENCE) / 2) * Math.sqrt(variance);
    }

    /** How long after the first sample it reaches a temperature, s; infinite where it never does, 0 where it is there. */
    public double reaches(double limit) {
        if ((begin >= limit) == (steady >= begin) || begin == limit) {
            return begin >= limit ? 0 : Double.POSITIVE_INFINITY;
        }
        return steady > limit ? tau * Math.log((steady - begin) / (steady - limit)) : Double.POSITIVE_INFINITY;
    }
}
