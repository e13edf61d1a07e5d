package galecrest.server.customer;

import java.math.BigDecimal;

record CustomerMoney(BigDecimal agreed, BigDecimal spent, BigDecimal tax, BigDecimal paid, BigDecimal owed) {}
