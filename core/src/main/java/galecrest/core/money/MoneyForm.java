package galecrest.core.money;

import galecrest.core.shop.Problem;
import java.math.BigDecimal;
import java.util.List;

/** What amounts, hours and shares may be in a form; what is wrong is added to the problems, at its field. */
public final class MoneyForm {
    private static final BigDecimal MOST_HOURS = BigDecimal.valueOf(20_000);

    private MoneyForm() {}

    /** A price: see {@link Amount#isPrice}. */
    public static void amount(String field, BigDecimal amount, List<Problem> problems) {
        if (!Amount.isPrice(amount)) {
            problems.add(new Problem(field, Amount.PRICE));
        }
    }

    /** Hours of work, 0 to 20,000, to the hundredth. */
    public static void hours(String field, BigDecimal hours, List<Problem> problems) {
        if (!(hours.signum() >= 0
                && hours.compareTo(MOST_HOURS) <= 0
                && hours.stripTrailingZeros().scale() <= 2)) {
            problems.add(new Problem(field, "Hours are between 0 and 20 000, to the hundredth."));
        }
    }

    /** 0 to 100 per cent, to the hundredth. */
    public static void percent(String field, BigDecimal percent, List<Problem> problems) {
        if (!(percent.signum() >= 0
                && percent.compareTo(BigDecimal.valueOf(100)) <= 0
                && percent.stripTrailingZeros().scale() <= 2)) {
            problems.add(new Problem(field, "Between 0 and 100 per cent."));
        }
    }
}
