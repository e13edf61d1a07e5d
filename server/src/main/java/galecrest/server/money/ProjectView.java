package galecrest.server.money;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/**
 * The sum of a project: bought, worked on, and sold.
 *
 * @param spent hours, parts and outside work so far, net
 * @param result what is left of the sale; null where it is not sold
 */
record ProjectView(
        @Nullable BigDecimal bought,
        BigDecimal spent,
        @Nullable BigDecimal sold,
        @Nullable BigDecimal result) {}
