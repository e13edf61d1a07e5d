package galecrest.server.money;

import galecrest.server.changeorder.ChangeOrderView;
import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

record LedgerResponse(
        String buildId,
        LedgerSummary summary,
        @Nullable EstimateView estimate,
        EstimateRequest proposed,
        BigDecimal tax,
        List<LedgerLine> lines,
        List<ChangeOrderView> changes,
        List<PaymentView> payments,
        ProjectView project) {}
