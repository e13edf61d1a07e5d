package galecrest.core.work;

import galecrest.core.time.Minutes;

/** Working time that a job takes: at best, most likely, at worst. */
public record Estimate(Minutes low, Minutes likely, Minutes high) {
    public Estimate {
        if (!(low.value() > 0)) {
            throw new IllegalArgumentException("The low estimate must be positive, not " + low.value() + " min.");
        }
        if (!(low.value() <= likely.value() && likely.value() <= high.value())) {
            throw new IllegalArgumentException("The estimate must be low ≤ likely ≤ high, not " + low.value() + " ≤ "
                    + likely.value() + " ≤ " + high.value() + " min.");
        }
    }

    public static Estimate ofMinutes(long low, long likely, long high) {
        return new Estimate(Minutes.of(low), Minutes.of(likely), Minutes.of(high));
    }

    /** Mean of the beta-PERT distribution: (low + 4·likely + high)/6 (Malcolm and others, 1959). */
    public double pertMean() {
        return (low.value() + 4.0 * likely.value() + high.value()) / 6.0;
    }

    /** Standard deviation by the PERT rule: (high − low)/6 (Malcolm and others, 1959). */
    public double pertDeviation() {
        return (high.value() - low.value()) / 6.0;
    }
}
