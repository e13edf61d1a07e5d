package galecrest.server.customer;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

record CustomerLinkRequest(
        @Min(value = 1, message = DAYS) @Max(value = 400, message = DAYS)
        int days,

        boolean money) {
    private static final String DAYS = "A link lasts 1 to 400 days.";
}
