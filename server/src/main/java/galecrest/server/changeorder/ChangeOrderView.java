package galecrest.server.changeorder;

import galecrest.server.plan.DateEffect;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

public record ChangeOrderView(
        String id,
        String title,
        String note,
        BigDecimal hours,
        BigDecimal hourRate,
        BigDecimal parts,
        @Nullable Instant partsAt,
        BigDecimal outwork,
        BigDecimal total,
        List<DateEffect> effect,
        Decision state,
        String madeBy,
        Instant madeAt,
        @Nullable String decidedBy,
        @Nullable Instant decidedAt,
        @Nullable String decidedNote,
        @Nullable String workId) {}
