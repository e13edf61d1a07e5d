package galecrest.server.money;

import galecrest.core.money.Ledger;
import java.math.BigDecimal;

record LedgerLine(
        Ledger.Kind kind, String text, BigDecimal quantity, BigDecimal price, BigDecimal net, Ledger.Stage stage) {}
