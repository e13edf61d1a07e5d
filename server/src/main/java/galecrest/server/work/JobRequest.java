package galecrest.server.work;

import galecrest.core.sheet.JobSpec;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A job; {@code after} names what it follows and counts only when it is added. */
public record JobRequest(
        String buildId,
        @Nullable String stage,
        JobSpec spec,
        @Nullable Instant notBefore,
        String note,
        List<String> after,
        int version) {}
