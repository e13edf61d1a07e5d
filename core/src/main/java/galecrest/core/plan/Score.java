package galecrest.core.plan;

import java.util.Comparator;

/**
 * How good a plan is; lower is better. Compared in the order of the fields, the last four as one weighted sum.
 *
 * @param missing essential works due at a commitment that cannot be planned
 * @param hardLateness weight × working hours late at events and paid slots
 * @param promisedLateness the same at promises
 * @param followLate working hours by which can-follow work is past its date
 * @param atRisk weighted at-risk starts
 * @param churn weighted person-days told otherwise than published
 * @param carsInBits weighted days on which cars stand opened
 * @param finishing weighted days until the builds are finished
 */
public record Score(
        int missing,
        double hardLateness,
        double promisedLateness,
        double followLate,
        double atRisk,
        double churn,
        double carsInBits,
        double finishing)
        implements Comparable<Score> {
    private static final Comparator<Score> ORDER = Comparator.comparingInt(Score::missing)
            .thenComparingDouble(Score::hardLateness)
            .thenComparingDouble(Score::promisedLateness)
            .thenComparingDouble(Score::rest);

    /** The weighted sum of all that is compared after lateness, in hours of can-follow work pushed past its date. */
    public double rest() {
        return followLate + atRisk + churn + carsInBits + finishing;
    }

    @Override
    public int compareTo(Score other) {
        return ORDER.compare(this, other);
    }
}
