package galecrest.server.board;

import org.jspecify.annotations.Nullable;

record WorkRow(
        String id,
        @Nullable String stage,
        @Nullable String round,
        @Nullable String date,
        boolean afterDates,
        String note,
        int version,
        boolean finding) {}
