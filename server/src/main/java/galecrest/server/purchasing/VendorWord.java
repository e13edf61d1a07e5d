package galecrest.server.purchasing;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

record VendorWord(
        Instant at, String by, String said, @Nullable Instant nextAt) {}
