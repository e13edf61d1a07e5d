package galecrest.server.snapshot;

import galecrest.server.SqlTime;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Writes a row at a time. */
final class SnapshotInserts {
    private final JdbcClient db;

    SnapshotInserts(JdbcClient db) {
        this.db = db;
    }

    void insert(String sql, @Nullable Object... values) {
        JdbcClient.StatementSpec statement = db.sql(sql);
        for (int i = 0; i < values.length; i++) {
            statement = statement.param(i + 1, values[i]);
        }
        statement.update();
    }

    static @Nullable Timestamp at(Optional<Instant> instant) {
        return SqlTime.of(instant.orElse(null));
    }
}
