package galecrest.server.parts;

import galecrest.core.parts.PartState;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A part as the table has it. */
record PartSheetRow(
        String name,
        int quantity,
        PartState state,
        @Nullable String vendor,
        @Nullable BigDecimal price,
        @Nullable Instant likely,
        @Nullable String neededBy,
        boolean own,
        String kit,
        String specification) {}
