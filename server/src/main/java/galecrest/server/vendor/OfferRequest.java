package galecrest.server.vendor;

import jakarta.validation.constraints.NotBlank;
import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/** A line of the price list, with its lead time in the vendor's working days. */
record OfferRequest(
        @NotBlank(message = "What is it?") String what,
        @Nullable BigDecimal price,
        int lowDays,
        int likelyDays,
        int highDays) {}
