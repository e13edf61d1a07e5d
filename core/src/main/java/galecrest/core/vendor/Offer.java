package galecrest.core.vendor;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * A line of a firm's price list.
 *
 * @param price in the shop's currency, where it was told
 * @param low within how many of the firm's working days it comes at best; ordered on day 0, it is there at closing time
 *     of that many working days later
 * @param likely most likely
 * @param high at worst
 */
public record Offer(String what, Optional<BigDecimal> price, int low, int likely, int high) {
    public Offer {
        if (!(0 <= low && low <= likely && likely <= high)) {
            throw new IllegalArgumentException("The lead time of " + what
                    + " must be 0 ≤ low ≤ likely ≤ high days, not " + low + ", " + likely + ", " + high + ".");
        }
    }
}
