package galecrest.core.money;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.jspecify.annotations.Nullable;

/**
 * An amount in the shop's currency, in whole cents. Products are rounded half up to the cent, sums are exact.
 *
 * @param value always with two decimals
 */
public record Amount(BigDecimal value) implements Comparable<Amount> {
    /** No money. */
    public static final Amount ZERO = new Amount(BigDecimal.ZERO);

    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    /** The greatest amount that is taken for one that was meant. */
    private static final BigDecimal MOST = BigDecimal.valueOf(10_000_000);

    /** What {@link #isPrice} asks, in words. */
    public static final String PRICE = "A price is between 0 and 10 000 000, in whole cents.";

    public Amount {
        value = value.setScale(2, RoundingMode.UNNECESSARY);
    }

    /** @throws ArithmeticException where the text has parts of a cent */
    public static Amount of(String value) {
        return new Amount(new BigDecimal(value));
    }

    /** Whether it can be a price: not negative, not beyond all sense, in whole cents; no price is fine. */
    public static boolean isPrice(@Nullable BigDecimal price) {
        return price == null
                || price.signum() >= 0
                        && price.compareTo(MOST) <= 0
                        && price.stripTrailingZeros().scale() <= 2;
    }

    /** The product of a quantity and a price, to the cent. */
    public static Amount of(BigDecimal quantity, BigDecimal price) {
        return new Amount(quantity.multiply(price).setScale(2, RoundingMode.HALF_UP));
    }

    /** The sum of both, exact. */
    public Amount plus(Amount other) {
        return new Amount(value.add(other.value));
    }

    /** What is left after the other is taken away; may be negative. */
    public Amount minus(Amount other) {
        return new Amount(value.subtract(other.value));
    }

    /** So many per cent of it, to the cent. */
    public Amount percent(BigDecimal percent) {
        return new Amount(value.multiply(percent).divide(HUNDRED, 2, RoundingMode.HALF_UP));
    }

    @Override
    public int compareTo(Amount other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value.toPlainString();
    }
}
