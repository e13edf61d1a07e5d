package galecrest.server.gate;

import galecrest.core.build.Gate;
import galecrest.core.gate.GateFacts;
import galecrest.core.gate.GateLine;
import galecrest.core.gate.GateStatus;
import galecrest.core.gauge.Measured;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import galecrest.server.shop.HouseList;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class GateRepository implements HouseList.Store<GateLine> {
    private final JdbcClient db;

    GateRepository(JdbcClient db) {
        this.db = db;
    }

    @Override
    public List<GateLine> read(@Nullable String build, String discipline) {
        return db.sql("""
                        select * from gate_line
                        where build_id is not distinct from cast(:build as text) and discipline = :discipline
                        order by position""")
                .param("build", build)
                .param("discipline", discipline)
                .query((row, n) -> line(row))
                .list();
    }

    private static GateLine line(ResultSet row) throws SQLException {
        String restsOn = row.getString("rests_on");
        return new GateLine(
                row.getString("key"),
                Gate.valueOf(row.getString("gate")),
                row.getString("text"),
                GateLine.Asks.valueOf(row.getString("asks")),
                restsOn.isEmpty() ? Optional.empty() : Optional.of(Measured.valueOf(restsOn)),
                row.getBoolean("never"));
    }

    @Override
    public void write(@Nullable String build, String discipline, List<GateLine> lines) {
        forget(build, discipline);
        for (int i = 0; i < lines.size(); i++) {
            GateLine line = lines.get(i);
            db.sql("""
                            insert into gate_line
                                (id, build_id, discipline, gate, position, key, text, asks, rests_on, never)
                            values (:id, :build, :discipline, :gate, :position, :key, :text, :asks, :restsOn, :never)""")
                    .param("id", NewId.next())
                    .param("build", build)
                    .param("discipline", discipline)
                    .param("gate", line.gate().name())
                    .param("position", i)
                    .param("key", line.key())
                    .param("text", line.text())
                    .param("asks", line.asks().name())
                    .param("restsOn", line.restsOn().map(Enum::name).orElse(""))
                    .param("never", line.never())
                    .update();
        }
    }

    @Override
    public void forget(@Nullable String build, String discipline) {
        db.sql(
                        "delete from gate_line where build_id is not distinct from cast(:build as text) and discipline = :discipline")
                .param("build", build)
                .param("discipline", discipline)
                .update();
    }

    /** The names under the lines of a car, by the key of the line. */
    Map<String, GateFacts.Signature> signatures(String build) {
        Map<String, GateFacts.Signature> all = new HashMap<>();
        db.sql("select * from gate_signature where build_id = :build")
                .param("build", build)
                .query((row, n) -> all.put(
                        row.getString("line_key"),
                        new GateFacts.Signature(
                                row.getString("by_name"),
                                row.getTimestamp("at").toInstant(),
                                Optional.ofNullable(row.getString("disturbed_by")))))
                .list();
        return all;
    }

    void sign(String build, String key, String by, Instant at) {
        db.sql("""
                        insert into gate_signature (id, build_id, line_key, by_name, at)
                        values (:id, :build, :key, :by, :at)
                        on conflict (build_id, line_key)
                            do update set by_name = excluded.by_name, at = excluded.at, disturbed_by = null""")
                .param("id", NewId.next())
                .param("build", build)
                .param("key", key)
                .param("by", by)
                .param("at", SqlTime.of(at))
                .update();
    }

    void unsign(String build, String key) {
        db.sql("delete from gate_signature where build_id = :build and line_key = :key")
                .param("build", build)
                .param("key", key)
                .update();
    }

    void disturb(String build, Set<String> keys, String because) {
        if (!keys.isEmpty()) {
            db.sql("""
                            update gate_signature set disturbed_by = :because
                            where build_id = :build and line_key in (:keys) and disturbed_by is null""")
                    .param("build", build)
                    .param("keys", keys)
                    .param("because", because)
                    .update();
        }
    }

    /** The last passing of each gate of a car. */
    Map<Gate, GateStatus.Passing> passings(String build) {
        Map<Gate, GateStatus.Passing> all = new EnumMap<>(Gate.class);
        db.sql("select distinct on (gate) * from gate_passing where build_id = :build order by gate, at desc, id desc")
                .param("build", build)
                .query((row, n) -> all.put(
                        Gate.valueOf(row.getString("gate")),
                        new GateStatus.Passing(
                                row.getString("did"),
                                row.getString("looked"),
                                row.getTimestamp("at").toInstant(),
                                Arrays.stream(row.getString("met").split("\n"))
                                        .filter(k -> !k.isEmpty())
                                        .collect(Collectors.toSet()),
                                row.getString("reason"))))
                .list();
        return all;
    }

    void pass(String build, Gate gate, GateStatus.Passing passing) {
        db.sql("""
                        insert into gate_passing (id, build_id, gate, did, looked, at, met, reason)
                        values (:id, :build, :gate, :did, :looked, :at, :met, :reason)""")
                .param("id", NewId.next())
                .param("build", build)
                .param("gate", gate.name())
                .param("did", passing.did())
                .param("looked", passing.looked())
                .param("at", SqlTime.of(passing.at()))
                .param("met", passing.met().stream().sorted().collect(Collectors.joining("\n")))
                .param("reason", passing.reason())
                .update();
    }

    /** The work on a car that puts right what was found. */
    Set<String> findings(String build) {
        return new HashSet<>(
                db.sql("""
                        select w.id from work w join job j on j.work_id = w.id
                        where w.build_id = :build and j.finding and w.status <> 'DONE'""").param("build", build).query(String.class).list());
    }

    List<GateFacts.ForNow> forNow(String build) {
        return db.sql(
                        "select what, gate from fitted_for_now where build_id = :build and made_good_at is null order by at")
                .param("build", build)
                .query((row, n) -> new GateFacts.ForNow(row.getString("what"), Gate.valueOf(row.getString("gate"))))
                .list();
    }
}
