package galecrest.core.risk;

/**
 * How the odds of a plan are worked out. The same plan, seed and trials give the same odds at any number of threads.
 *
 * @param trials how often the plan is replayed, at least one
 * @param seed the luck; plans compared under one seed have the same luck in everything they share
 * @param threads how many trials run side by side
 * @param draw how a value is drawn between three estimates
 */
public record RiskOptions(int trials, long seed, int threads, Draw draw) {
    public RiskOptions {
        if (!(trials >= 1 && threads >= 1)) {
            throw new IllegalArgumentException("At least one trial and one thread are needed.");
        }
    }

    /** Beta-PERT draws. */
    public static RiskOptions of(int trials, long seed, int threads) {
        return new RiskOptions(trials, seed, threads, BetaPert::quantile);
    }

    /** The value of which a share {@code u} of all draws stays below, between a low and a high one. */
    public interface Draw {
        double value(double u, double low, double likely, double high);
    }
}
