package galecrest.server.money;

import galecrest.core.money.Amount;
import galecrest.core.money.Ledger;
import java.math.BigDecimal;
import java.time.Instant;

record EstimateRow(
        BigDecimal hours,
        BigDecimal parts,
        BigDecimal outwork,
        BigDecimal allowancePercent,
        BigDecimal hourRate,
        Instant agreedAt,
        String byName) {
    Ledger.Estimate estimate() {
        return new Ledger.Estimate(hours, hourRate, new Amount(parts), new Amount(outwork), allowancePercent);
    }
}
