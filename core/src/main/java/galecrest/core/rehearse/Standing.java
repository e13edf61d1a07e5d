package galecrest.core.rehearse;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How a date stands in a rehearsal.
 *
 * @param margin shop hours to spare, negative where it is late; empty where it cannot be planned
 */
public record Standing(CommitmentId date, Optional<Minutes> margin) {
    /** A date that cannot be planned is taken to be late by a working week, as the trade would count it lost. */
    private static final double LOST_HOURS = 40;

    /** Whether it is kept, or would be. */
    public boolean kept() {
        return margin.filter(m -> m.value() >= 0).isPresent();
    }

    /** Below so many hours to spare a date is in trouble. */
    private static final double TROUBLE_HOURS = 4;

    /** Whether it has so little to spare that somebody should think about it. */
    boolean inTrouble() {
        return margin.map(Minutes::hours).orElse(-LOST_HOURS) < TROUBLE_HOURS;
    }

    /** Hours to spare of some dates together; one that cannot be planned is a working week short. */
    static double spare(Plan plan, Set<CommitmentId> of) {
        return plan.outlooks().stream()
                .filter(o -> of.contains(o.commitment()))
                .mapToDouble(o -> o.margin().map(Minutes::hours).orElse(-LOST_HOURS))
                .sum();
    }

    static List<Standing> of(Plan plan) {
        return plan.outlooks().stream()
                .map(o -> new Standing(o.commitment(), o.margin()))
                .toList();
    }

    /** Hours late, all dates together, each by how much it matters. */
    static double lateness(ShopSnapshot shop, Plan plan) {
        double late = 0;
        for (Plan.Outlook outlook : plan.outlooks()) {
            double weight = shop.commitments().stream()
                    .filter(c -> c.id().equals(outlook.commitment()))
                    .mapToDouble(Commitment::weight)
                    .findFirst()
                    .orElse(1);
            double hours = outlook.margin().map(Minutes::hours).orElse(-LOST_HOURS);
            late += weight * Math.max(0, -hours);
        }
        return late;
    }
}
