package galecrest.server.plan;

import static galecrest.server.people.DayMinutes.time;

import galecrest.core.build.BuildId;
import galecrest.core.parts.PartId;
import galecrest.core.time.Arrival;
import galecrest.core.time.Closure;
import galecrest.core.time.Shift;
import galecrest.core.work.Hold;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.WorkId;
import galecrest.server.SqlTime;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;

/** How rows of the record become things of the core; what the repositories of the snapshot share. */
final class SnapshotRows {
    private final JdbcClient db;

    SnapshotRows(JdbcClient db) {
        this.db = db;
    }

    /** Reads one row. */
    interface RowReader<V> {
        V read(ResultSet row) throws SQLException;
    }

    /** The rows of a query by one of their columns, each group in the order of the query. */
    <V> Map<String, List<V>> grouped(String sql, String key, RowReader<V> reader) {
        Map<String, List<V>> groups = new HashMap<>();
        db.sql(sql)
                .query((row, n) -> groups.computeIfAbsent(row.getString(key), k -> new ArrayList<>())
                        .add(reader.read(row)))
                .list();
        return groups;
    }

    static Optional<Instant> optional(ResultSet row, String column) throws SQLException {
        return Optional.ofNullable(SqlTime.instant(row, column));
    }

    static Shift shift(ResultSet row) throws SQLException {
        return new Shift(
                DayOfWeek.of(row.getInt("day")), time(row.getInt("start_minute")), time(row.getInt("end_minute")));
    }

    static Closure closure(ResultSet row) throws SQLException {
        return new Closure(
                row.getObject("from_day", LocalDate.class),
                row.getObject("to_day", LocalDate.class),
                row.getString("reason"));
    }

    static Arrival arrival(ResultSet row, String of) throws SQLException {
        return new Arrival(
                SqlTime.instant(row, of + "_low"),
                SqlTime.instant(row, of + "_likely"),
                SqlTime.instant(row, of + "_high"));
    }

    static WorkId workId(ResultSet row) throws SQLException {
        return new WorkId(row.getString("id"));
    }

    static BuildId buildId(ResultSet row) throws SQLException {
        return new BuildId(row.getString("build_id"));
    }

    static Optional<Hold> hold(ResultSet row) throws SQLException {
        String reason = row.getString("hold_reason");
        return reason == null || row.getBoolean("hold_over")
                ? Optional.empty()
                : Optional.of(new Hold(
                        ReasonTag.valueOf(reason),
                        row.getString("hold_note"),
                        optional(row, "hold_until"),
                        Optional.ofNullable(row.getString("hold_part_id")).map(PartId::new)));
    }
}
