package galecrest.server.rate;

import galecrest.core.money.FindingLimit;
import java.math.BigDecimal;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What the shop charges.
 *
 * @param findingLimit up to what net amount a finding goes ahead unasked; null where all do
 */
public record Rates(
        String currency,
        BigDecimal hourRate,
        BigDecimal taxPercent,
        @Nullable BigDecimal findingLimit) {
    /** What may go ahead unasked. */
    public FindingLimit forFindings() {
        return new FindingLimit(hourRate, Optional.ofNullable(findingLimit));
    }
}
