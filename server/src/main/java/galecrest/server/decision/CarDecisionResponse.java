package galecrest.server.decision;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Something to decide, or that was. */
record CarDecisionResponse(
        String id,
        String question,
        String asked,
        @Nullable Instant due,
        List<OptionView> options,
        @Nullable String chosen,
        boolean kept,
        String note,
        @Nullable Instant decidedAt,
        @Nullable String decidedBy) {
    record OptionView(String name, @Nullable BigDecimal price, String effect) {
        OptionView withoutPrice() {
            return new OptionView(name, null, effect);
        }
    }
}
