package galecrest.server.customer;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

record CustomerLinkResponse(
        String id,
        Instant madeAt,
        String madeBy,
        Instant expiresAt,
        @Nullable Instant revokedAt,
        boolean money) {}
