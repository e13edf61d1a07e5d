package galecrest.core.rehearse;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import java.util.List;
import java.util.Optional;

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
