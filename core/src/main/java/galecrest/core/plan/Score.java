package galecrest.core.plan;

import java.util.Comparator;

/**
 * How good a plan is; lower is better. Compared in the order of the fields, those after promised lateness as one sum.
 *
 * @param missing essential works due at a commitment that cannot be planned
 * @param hardLateness weight × working hours late at events and paid slots
 * @param promisedLateness the same at promises
 * @param bufferEaten weight × working hours by which dates that are kept have less in hand than the house rules ask
 * @param followLate working hours by which can-follow work is past its date
 * @param atRisk weighted at-risk starts
 * @param churn weighted person-days told otherwise than published; work that moves later than five working days ahead
 *     counts as a twentieth of one
 * @param carsInBits weighted days on which cars stand opened
 * @param finishing weighted days until the builds are finished
 */
public record Score(
        int missing,
        double hardLateness,
        double promisedLateness,
        double bufferEaten,
        double followLate,
        double atRisk,
        double churn,
        double carsInBits,
        double finishing)
        implements Comparable<Score> {
    /** Of a plan that is not scored: what people were told is a fact. */
    public static final Score NONE = new Score(0, 0, 0, 0, 0, 0, 0, 0, 0);

    /** Differences below this are the noise of summing. */
    public static final double NOISE = 1e-7;

    /** An hour late at an event or a paid slot, against one at a promise. */
    private static final double HARD = 4;
    /** An hour that is gone of the reserve that the house asks for, or by which can-follow work is late, against the same. */
    private static final double RESERVE = 0.25;
    /** What is due and cannot be planned counts as a working week late at a hard date. */
    private static final double MISSING = 40 * HARD;

    private static final Comparator<Score> ORDER = Comparator.comparingInt(Score::missing)
            .thenComparing((a, b) -> compare(a.hardLateness, b.hardLateness))
            .thenComparing((a, b) -> compare(a.promisedLateness, b.promisedLateness))
            .thenComparing((a, b) -> compare(a.rest(), b.rest()));

    private static int compare(double a, double b) {
        return Math.abs(a - b) < NOISE ? 0 : Double.compare(a, b);
    }

    /** The weighted sum of all that is compared after lateness, in hours of can-follow work pushed past its date. */
    public double rest() {
        return bufferEaten + followLate + atRisk + churn + carsInBits + finishing;
    }

    /**
     * What is late, missing or gone of the reserve as one sum, in weighted hours late at a promise: the scale on which moves
     * are weighed against lateness.
     */
    public double lateness() {
        return MISSING * missing + HARD * hardLateness + promisedLateness + RESERVE * (bufferEaten + followLate);
    }

    @Override
    public int compareTo(Score other) {
        return ORDER.compare(this, other);
    }
}
