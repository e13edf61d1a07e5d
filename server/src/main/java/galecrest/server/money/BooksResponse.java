package galecrest.server.money;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

record BooksResponse(
        String currency,
        BigDecimal hourRate,
        BigDecimal taxPercent,
        @Nullable BigDecimal findingLimit,
        List<LedgerSummary> builds,
        List<EstimateAccuracy> wrong) {}
