package galecrest.server.changeorder;

import galecrest.server.plan.DateEffect;
import java.math.BigDecimal;
import java.util.List;

/** What it would cost, and what it would do to every date of the shop; nothing is written. */
record PricedResponse(BigDecimal total, List<DateEffect> effect) {}
