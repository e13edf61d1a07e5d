package galecrest.server.rate;

import jakarta.validation.constraints.Pattern;
import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

record RatesRequest(
        @Pattern(regexp = "[A-Z]{3}", message = "Three capital letters, as ISO 4217 has them: EUR.")
        String currency,

        BigDecimal hourRate,
        BigDecimal taxPercent,
        @Nullable BigDecimal findingLimit) {}
