package galecrest.core.rescue;

import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Job;
import java.time.Duration;
import java.util.Optional;

/** What a move asks of the shop. */
public final class MoveEffort {
    private MoveEffort() {}

    /** What the move asks of the shop beyond telling people, in hours of effort; a judgement, told beside each move. */
    public static double hours(ShopSnapshot shop, Move move) {
        if (move instanceof Move.ExtraShift m) {
            return Duration.between(m.from(), m.to()).toMinutes() / 60.0;
        } else if (move instanceof Move.SecondHand m) {
            return 1
                    + work(shop, m.job())
                            .map(j -> 0.2 * j.estimate().likely().hours())
                            .orElse(0.0);
        } else if (move instanceof Move.StartAtRisk m) {
            return shop.links().stream()
                    .filter(l -> l.id().equals(m.link()))
                    .mapToDouble(l -> 1
                            + MoveEffects.RISK
                                    * work(shop, l.then())
                                            .map(j -> j.estimate().likely().hours() / 2)
                                            .orElse(1.0))
                    .sum();
        } else if (move instanceof Move.Park) {
            return 4;
        } else if (move instanceof Move.SwapEvent) {
            return 40;
        } else if (move instanceof Move.InterimFix) {
            return 3;
        }
        return move instanceof Move.LetFollow ? 1 : 2;
    }

    private static Optional<Job> work(ShopSnapshot shop, Object id) {
        return shop.works().stream()
                .filter(w -> w.id().equals(id) && w instanceof Job)
                .map(Job.class::cast)
                .findFirst();
    }
}
