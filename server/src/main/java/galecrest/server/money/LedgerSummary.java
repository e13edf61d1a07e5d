package galecrest.server.money;

import java.math.BigDecimal;

/** The money of one build in one line. */
record LedgerSummary(
        String buildId,
        boolean estimated,
        BigDecimal agreed,
        BigDecimal committed,
        BigDecimal spent,
        BigDecimal paid,
        BigDecimal owed,
        BigDecimal hoursAgreed,
        BigDecimal hoursWorked,
        BigDecimal hoursToDo,
        int offered) {}
