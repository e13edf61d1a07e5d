package galecrest.server.money;

import java.math.BigDecimal;
import java.time.Instant;

record PaymentView(String id, Instant at, BigDecimal amount, String note) {}
