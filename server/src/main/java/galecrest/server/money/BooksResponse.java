package galecrest.server.money;

import java.math.BigDecimal;
import java.util.List;

record BooksResponse(
        String currency,
        BigDecimal hourRate,
        BigDecimal taxPercent,
        List<LedgerSummary> builds,
        List<EstimateAccuracy> wrong) {}
