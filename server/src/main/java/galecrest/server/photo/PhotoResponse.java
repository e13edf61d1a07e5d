package galecrest.server.photo;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

record PhotoResponse(
        String id,
        @Nullable String partId,
        @Nullable String measurementId,
        String caption,
        String by,
        Instant at,
        int width,
        int height,
        boolean released) {}
