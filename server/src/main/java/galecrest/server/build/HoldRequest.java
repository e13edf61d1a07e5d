package galecrest.server.build;

import galecrest.core.work.ReasonTag;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

record HoldRequest(ReasonTag reason, String note, @Nullable Instant until) {}
