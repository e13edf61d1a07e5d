package galecrest.server.money;

import java.math.BigDecimal;

record EstimateRequest(BigDecimal hours, BigDecimal parts, BigDecimal outwork, BigDecimal allowancePercent) {}
