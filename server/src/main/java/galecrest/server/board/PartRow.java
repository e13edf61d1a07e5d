package galecrest.server.board;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

record PartRow(
        String id,
        String buildId,
        @Nullable BigDecimal price,
        int quantity,
        int received,
        boolean own,
        String specification,
        String kit,
        String tracking,
        int version) {}
