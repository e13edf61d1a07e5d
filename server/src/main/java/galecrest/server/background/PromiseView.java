package galecrest.server.background;

import galecrest.core.risk.RiskProfile;
import galecrest.core.work.CommitmentId;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What could be promised for a new build, going by the odds of its end with all dates that others were told kept first.
 *
 * @param p50 half of the trials are ready by then; p80 and p95 likewise
 */
public record PromiseView(
        @Nullable Instant p50,
        @Nullable Instant p80,
        @Nullable Instant p95,
        int trials) {
    static PromiseView of(RiskProfile chance, CommitmentId end) {
        RiskProfile.Odds odds = chance.odds().stream()
                .filter(o -> o.commitment().equals(end))
                .findFirst()
                .orElseThrow();
        return new PromiseView(
                odds.p50().orElse(null), odds.p80().orElse(null), odds.p95().orElse(null), chance.trials());
    }
}
