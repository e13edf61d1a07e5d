package galecrest.server.money;

import java.math.BigDecimal;

record PaymentRequest(BigDecimal amount, String note) {}
