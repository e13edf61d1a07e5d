package galecrest.core.money;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;

/**
 * Up to what net amount something found on a customer's car is put right without asking.
 *
 * @param hourRate what an hour of one hand costs
 * @param most empty where everything goes ahead
 */
public record FindingLimit(BigDecimal hourRate, Optional<BigDecimal> most) {
    private static final BigDecimal HOUR = BigDecimal.valueOf(60);

    /** What the work of a finding costs, net and without parts; to the cent, half up. */
    public Amount price(int minutes, int hands) {
        return new Amount(
                hourRate.multiply(BigDecimal.valueOf((long) minutes * hands)).divide(HOUR, 2, RoundingMode.HALF_UP));
    }

    /** Whether so much work waits for the customer's yes. Work by nobody costs as if it took one hand. */
    public boolean asks(int minutes, int hands) {
        return most.filter(m -> price(minutes, Math.max(1, hands)).value().compareTo(m) > 0)
                .isPresent();
    }
}
