package galecrest.server.money;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/** What a project was bought and sold for; null where that is not, or not yet. */
record ProjectRequest(@Nullable BigDecimal bought, @Nullable BigDecimal sold) {}
