package galecrest.server.receiving;

import org.jspecify.annotations.Nullable;

/** What was found on looking a delivery over. */
record InspectionRequest(
        int counted,
        boolean rightVariant,
        String sizes,
        String damage,
        @Nullable String photoId,
        boolean accepted,
        String reason) {}
