package galecrest.server.money;

import java.math.BigDecimal;
import java.time.Instant;

record EstimateView(
        BigDecimal hours,
        BigDecimal hourRate,
        BigDecimal parts,
        BigDecimal outwork,
        BigDecimal allowancePercent,
        BigDecimal allowance,
        BigDecimal total,
        Instant agreedAt,
        String by) {}
