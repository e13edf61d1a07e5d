package galecrest.server;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Instants on their way into the database and out of it. */
public final class SqlTime {
    private SqlTime() {}

    /** As a parameter; null stays null. */
    public static @Nullable Timestamp of(@Nullable Instant at) {
        return at == null ? null : Timestamp.from(at);
    }

    /** A column of the row; null stays null. */
    public static @Nullable Instant instant(ResultSet row, String column) throws SQLException {
        Timestamp at = row.getTimestamp(column);
        return at == null ? null : at.toInstant();
    }
}
