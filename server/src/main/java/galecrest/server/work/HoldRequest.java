package galecrest.server.work;

import galecrest.core.work.ReasonTag;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

public record HoldRequest(
        ReasonTag reason, String note, @Nullable Instant until) {}
