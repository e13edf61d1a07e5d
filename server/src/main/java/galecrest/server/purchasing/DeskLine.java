package galecrest.server.purchasing;

import galecrest.server.background.OddsView;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One thing that is outside, or must still be ordered.
 *
 * @param promised the date that was told last
 * @param expected what that is worth going by the vendor's record
 * @param harm what one more day does; absent until it is worked out
 * @param overdue whether it was promised for a time that is past, and is not here
 * @param holds whether somebody has said that a job waits for it
 * @param held why an order would be held; absent where nothing holds it
 */
record DeskLine(
        DeskKind kind,
        String id,
        String buildId,
        String name,
        String state,
        int quantity,
        int received,
        @Nullable String vendorId,
        @Nullable Instant promised,
        @Nullable Instant expected,
        OddsView.@Nullable Harm harm,
        @Nullable VendorWord lastWord,
        @Nullable Instant nextWordAt,
        @Nullable String held,
        String kit,
        boolean overdue,
        boolean holds) {}
