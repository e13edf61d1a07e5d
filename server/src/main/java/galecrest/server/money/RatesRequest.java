package galecrest.server.money;

import java.math.BigDecimal;

record RatesRequest(String currency, BigDecimal hourRate, BigDecimal taxPercent) {}
