package galecrest.server.purchasing;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/** Another part in place of this one. */
record InsteadRequest(
        String name, @Nullable String vendorId, @Nullable BigDecimal price, String reason) {}
