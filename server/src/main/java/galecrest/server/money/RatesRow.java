package galecrest.server.money;

import java.math.BigDecimal;

record RatesRow(String currency, BigDecimal hourRate, BigDecimal taxPercent) {}
