package galecrest.server.receiving;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

public record InspectionView(
        Instant at,
        String by,
        int counted,
        boolean rightVariant,
        String sizes,
        String damage,
        @Nullable String photoId,
        boolean accepted,
        String reason) {}
