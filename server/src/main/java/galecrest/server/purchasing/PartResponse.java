package galecrest.server.purchasing;

import galecrest.core.parts.PartState;
import galecrest.server.mate.MateKindView;
import galecrest.server.mate.MateView;
import galecrest.server.receiving.InspectionView;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Everything about one part line. */
record PartResponse(
        String id,
        List<MateView> mates,
        List<VendorWord> words,
        List<InspectionView> inspections,
        List<MailResponse> mails,
        List<PartState> next,
        @Nullable String held,
        @Nullable String overrideReason,
        @Nullable Instant orderedAt,
        @Nullable Instant promisedAt,
        @Nullable String takenFrom,
        String insteadOf,
        List<MateKindView> kinds) {}
