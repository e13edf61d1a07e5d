package galecrest.server.money;

import jakarta.validation.constraints.Pattern;
import java.math.BigDecimal;

record RatesRequest(
        @Pattern(regexp = "[A-Z]{3}", message = "Three capital letters, as ISO 4217 has them: EUR.")
        String currency,

        BigDecimal hourRate,
        BigDecimal taxPercent) {}
