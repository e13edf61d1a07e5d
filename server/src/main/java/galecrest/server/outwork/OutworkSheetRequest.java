package galecrest.server.outwork;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

public record OutworkSheetRequest(
        String specification,
        String driver,
        boolean trailer,
        @Nullable BigDecimal price) {}
