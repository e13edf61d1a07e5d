package galecrest.server.purchasing;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

record BasketLine(String partId, @Nullable BigDecimal price) {}
