package galecrest.server.purchasing;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

record MailResponse(
        String id,
        Instant at,
        String by,
        String recipient,
        String subject,
        String body,
        @Nullable String partId,
        @Nullable String attachment) {}
