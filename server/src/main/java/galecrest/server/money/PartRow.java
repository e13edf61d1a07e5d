package galecrest.server.money;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

record PartRow(
        String name, String state, int quantity, @Nullable BigDecimal price, boolean own) {}
