package galecrest.server.dyno;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.dyno.Channel;
import galecrest.core.dyno.ReviewLimit;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
public class DynoRepository {
    private static final TypeReference<List<ColumnForm>> COLUMNS = new TypeReference<>() {};
    private static final Duration UNTAKEN = Duration.ofDays(1);

    private final JdbcClient db;
    private final ObjectMapper json = new ObjectMapper();

    DynoRepository(JdbcClient db) {
        this.db = db;
    }

    /** A file as it came. */
    record RunFile(String id, String name, byte[] content) {}

    /** A run as it is kept. */
    public record Run(
            String id,
            String buildId,
            String dyno,
            String fileId,
            List<ColumnForm> columns,
            String name,
            RunConditionsRequest conditions,
            String by,
            Instant at,
            int version) {}

    /** Keeps a file until somebody takes it, and throws away what nobody has taken. */
    String keep(String name, byte[] content, Instant at) {
        db.sql("delete from run_file where not taken and at < :at")
                .param("at", SqlTime.of(at.minus(UNTAKEN)))
                .update();
        String id = NewId.next();
        db.sql("insert into run_file (id, name, content, at) values (:id, :name, :content, :at)")
                .param("id", id)
                .param("name", name)
                .param("content", content)
                .param("at", SqlTime.of(at))
                .update();
        return id;
    }

    Optional<RunFile> file(String id) {
        return db.sql("select id, name, content from run_file where id = :id")
                .param("id", id)
                .query((row, n) -> new RunFile(row.getString("id"), row.getString("name"), row.getBytes("content")))
                .optional();
    }

    /** What the columns of each road's files hold, by its name. */
    Map<String, List<ColumnForm>> dynos() {
        Map<String, List<ColumnForm>> all = new LinkedHashMap<>();
        db.sql("select name, columns from dyno order by name").query(row -> {
            all.put(row.getString("name"), columns(row.getString("columns")));
        });
        return all;
    }

    /** Remembers what the columns of a road hold; returns its id. */
    String remember(String name, List<ColumnForm> columns) {
        return db.sql("""
                        insert into dyno (id, name, columns) values (:id, :name, :columns::jsonb)
                        on conflict (name) do update set columns = excluded.columns returning id""")
                .param("id", NewId.next())
                .param("name", name)
                .param("columns", text(columns))
                .query(String.class)
                .single();
    }

    String insert(
            String build,
            String dyno,
            RunFile file,
            List<ColumnForm> columns,
            String name,
            RunConditionsRequest conditions,
            String by,
            Instant at) {
        String id = NewId.next();
        db.sql("update run_file set taken = true where id = :id")
                .param("id", file.id())
                .update();
        told(db.sql("""
                        insert into power_run (id, build_id, dyno_id, file_id, columns, name, state, gear, pressure, straps,
                            fuel, air_pressure, air_temperature, humidity, by_name, at)
                        values (:id, :build, :dyno, :file, :columns::jsonb, :name, :state, :gear, :pressure, :straps,
                            :fuel, :airPressure, :airTemperature, :humidity, :by, :at)"""), conditions)
                .param("id", id)
                .param("build", build)
                .param("dyno", dyno)
                .param("file", file.id())
                .param("columns", text(columns))
                .param("name", name)
                .param("by", by)
                .param("at", SqlTime.of(at))
                .update();
        return id;
    }

    void update(String id, RunConditionsRequest conditions) {
        told(db.sql("""
                        update power_run set state = :state, gear = :gear, pressure = :pressure, straps = :straps,
                            fuel = :fuel, air_pressure = :airPressure, air_temperature = :airTemperature,
                            humidity = :humidity where id = :id"""), conditions).param("id", id).update();
    }

    private static JdbcClient.StatementSpec told(JdbcClient.StatementSpec statement, RunConditionsRequest conditions) {
        return statement
                .param("state", said(conditions.state()))
                .param("gear", said(conditions.gear()))
                .param("pressure", said(conditions.pressure()))
                .param("straps", said(conditions.straps()))
                .param("fuel", said(conditions.fuel()))
                .param("airPressure", said(conditions.airPressure()))
                .param("airTemperature", said(conditions.airTemperature()))
                .param("humidity", said(conditions.humidity()));
    }

    void delete(String id) {
        db.sql("delete from power_run where id = :id").param("id", id).update();
    }

    /** The runs of a car in the order in which they were driven. */
    List<Run> of(String build) {
        return runs("r.build_id = :id", build);
    }

    Optional<Run> run(String id) {
        return runs("r.id = :id", id).stream().findFirst();
    }

    private List<Run> runs(String where, String id) {
        return db.sql("select r.*, d.name as dyno from power_run r join dyno d on d.id = r.dyno_id where " + where
                        + " order by r.position")
                .param("id", id)
                .query((row, n) -> run(row))
                .list();
    }

    private Run run(ResultSet row) throws SQLException {
        return new Run(
                row.getString("id"),
                row.getString("build_id"),
                row.getString("dyno"),
                row.getString("file_id"),
                columns(row.getString("columns")),
                row.getString("name"),
                new RunConditionsRequest(
                        row.getString("state"),
                        row.getString("gear"),
                        row.getString("pressure"),
                        row.getString("straps"),
                        row.getString("fuel"),
                        row.getString("air_pressure"),
                        row.getString("air_temperature"),
                        row.getString("humidity")),
                row.getString("by_name"),
                row.getTimestamp("at").toInstant(),
                row.getInt("version"));
    }

    /** The car's own limits; none where it goes by the usual ones. */
    public List<ReviewLimit> limits(String build) {
        return db.sql("select * from review_limit where build_id = :build order by channel")
                .param("build", build)
                .query((row, n) -> new ReviewLimit(
                        Channel.valueOf(row.getString("channel")),
                        row.getBoolean("floor"),
                        row.getDouble("watch"),
                        row.getDouble("per_turn")))
                .list();
    }

    public void limits(String build, List<ReviewLimit> limits) {
        db.sql("delete from review_limit where build_id = :build")
                .param("build", build)
                .update();
        limits.forEach(limit -> db.sql("""
                        insert into review_limit (build_id, channel, floor, watch, per_turn)
                        values (:build, :channel, :floor, :watch, :perTurn)""")
                .param("build", build)
                .param("channel", limit.channel().name())
                .param("floor", limit.floor())
                .param("watch", limit.watch())
                .param("perTurn", limit.perTurn())
                .update());
    }

    private List<ColumnForm> columns(String text) {
        try {
            return json.readValue(text, COLUMNS);
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("The columns of a road in the record cannot be read.", broken);
        }
    }

    private String text(List<ColumnForm> columns) {
        try {
            return json.writeValueAsString(columns);
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException(broken);
        }
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
