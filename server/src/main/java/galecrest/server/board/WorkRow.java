package galecrest.server.board;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

record WorkRow(
        String id,
        @Nullable String stage,
        @Nullable String round,
        @Nullable String date,
        boolean afterDates,
        @Nullable String there,
        @Nullable Instant notBefore,
        String note,
        int version,
        boolean finding,
        @Nullable Integer remaining,
        boolean doneBefore,
        @Nullable String customerName) {}
