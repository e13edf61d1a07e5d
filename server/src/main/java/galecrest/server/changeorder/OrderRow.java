package galecrest.server.changeorder;

import galecrest.core.build.Gate;
import galecrest.core.money.Amount;
import galecrest.core.money.Ledger;
import galecrest.server.plan.DateEffect;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A change order as it is kept. */
public record OrderRow(
        String id,
        String buildId,
        String title,
        String note,
        BigDecimal hours,
        String skill,
        Gate gate,
        BigDecimal parts,
        @Nullable Instant partsAt,
        BigDecimal outwork,
        BigDecimal hourRate,
        List<DateEffect> effect,
        Decision state,
        String madeBy,
        Instant madeAt,
        @Nullable String decidedBy,
        @Nullable Instant decidedAt,
        @Nullable String decidedNote,
        @Nullable String workId) {
    public Ledger.AgreedChange change() {
        return new Ledger.AgreedChange(title, hours, hourRate, new Amount(parts), new Amount(outwork));
    }

    ChangeOrderRequest form() {
        return new ChangeOrderRequest(title, note, hours, skill, gate, parts, partsAt, outwork, workId);
    }

    public ChangeOrderView view() {
        return new ChangeOrderView(
                id,
                title,
                note,
                hours,
                hourRate,
                parts,
                partsAt,
                outwork,
                change().total().value(),
                effect,
                state,
                madeBy,
                madeAt,
                decidedBy,
                decidedAt,
                decidedNote,
                workId);
    }
}
