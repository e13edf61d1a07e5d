package galecrest.server.changeorder;

import galecrest.server.plan.DateEffect;
import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A change order without how its price comes about. */
public record CustomerChange(
        String id,
        String title,
        String note,
        BigDecimal total,
        List<DateEffect> effect,
        Decision state,
        @Nullable String decidedBy) {}
