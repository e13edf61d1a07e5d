package galecrest.server.money;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

record OutworkRow(String name, String status, @Nullable BigDecimal price) {}
