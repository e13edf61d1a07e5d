package galecrest.server.trackday;

import galecrest.server.SqlTime;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class TestDayRepository {
    private final JdbcClient db;

    TestDayRepository(JdbcClient db) {
        this.db = db;
    }

    /** The runs of a car at an event, in their order. */
    List<TestDayResponse.TestRunResponse> runs(String event, String build) {
        return db.sql("""
                        select r.*, t.name as set_name from test_run r left join tyre_set t on t.id = r.set_id
                        where r.event_id = :event and r.build_id = :build order by r.position, r.id""")
                .param("event", event)
                .param("build", build)
                .query((row, n) -> new TestDayResponse.TestRunResponse(
                        row.getString("id"),
                        row.getString("changes").lines().toList(),
                        row.getInt("value"),
                        row.getBoolean("dry"),
                        row.getString("set_id"),
                        row.getString("set_name"),
                        row.getString("cold"),
                        row.getString("hot"),
                        row.getString("fuel"),
                        row.getString("driver"),
                        TestRunRequest.Conditions.valueOf(row.getString("conditions")),
                        row.getString("air"),
                        row.getString("track"),
                        row.getString("laps"),
                        row.getString("words"),
                        SqlTime.instant(row, "ran_at"),
                        row.getInt("version")))
                .list();
    }

    /** Whose run it is, and where. */
    record Place(String event, String build, @Nullable Instant ranAt) {}

    Optional<Place> place(String run) {
        return db.sql("select * from test_run where id = :id")
                .param("id", run)
                .query((row, n) ->
                        new Place(row.getString("event_id"), row.getString("build_id"), SqlTime.instant(row, "ran_at")))
                .optional();
    }

    /** Whether that set is one of that car's. */
    boolean isSet(String set, String build) {
        return db.sql("select exists (select 1 from tyre_set where id = :set and build_id = :build)")
                .param("set", set)
                .param("build", build)
                .query(Boolean.class)
                .single();
    }

    void insert(String id, String event, TestRunRequest form) {
        bind(db.sql("""
                        insert into test_run (id, event_id, build_id, position, changes, value, dry, set_id, cold, hot, fuel,
                            driver, conditions, air, track, laps, words, ran_at)
                        values (:id, :event, :build, (select coalesce(max(position), 0) + 1 from test_run
                                where event_id = :event and build_id = :build),
                            :changes, :value, :dry, :set, :cold, :hot, :fuel, :driver, :conditions, :air, :track, :laps,
                            :words, null)"""), id, form)
                .param("event", event)
                .param("build", form.buildId())
                .update();
    }

    /** False where somebody else has changed it. */
    boolean update(String id, TestRunRequest form, @Nullable Instant ranAt) {
        return bind(db.sql("""
                        update test_run set changes = :changes, value = :value, dry = :dry, set_id = :set, cold = :cold,
                            hot = :hot, fuel = :fuel, driver = :driver, conditions = :conditions, air = :air,
                            track = :track, laps = :laps, words = :words, ran_at = :ran
                        where id = :id and version = :version"""), id, form)
                        .param("ran", SqlTime.of(ranAt))
                        .param("version", form.version())
                        .update()
                > 0;
    }

    private static JdbcClient.StatementSpec bind(JdbcClient.StatementSpec sql, String id, TestRunRequest form) {
        return sql.param("id", id)
                .param(
                        "changes",
                        form.changes() == null ? "" : form.changes().stream().collect(Collectors.joining("\n")))
                .param("value", form.value())
                .param("dry", form.dry())
                .param("set", form.setId())
                .param("cold", said(form.cold()))
                .param("hot", said(form.hot()))
                .param("fuel", said(form.fuel()))
                .param("driver", said(form.driver()))
                .param(
                        "conditions",
                        (form.conditions() == null ? TestRunRequest.Conditions.DRY : form.conditions()).name())
                .param("air", said(form.air()))
                .param("track", said(form.track()))
                .param("laps", said(form.laps()))
                .param("words", said(form.words()));
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    /** Writes the laps of a run that was driven, and its conditions where they are said. */
    void drove(String run, LapTableResponse.LapRunResponse laps, Instant at) {
        db.sql("""
                        update test_run set laps = :laps, ran_at = coalesce(ran_at, :at),
                            conditions = coalesce(nullif(:conditions, ''), conditions),
                            track = coalesce(nullif(:track, ''), track)
                        where id = :id""")
                .param("id", run)
                .param("laps", laps.laps())
                .param("conditions", laps.conditions().toUpperCase(Locale.ROOT))
                .param("track", laps.track())
                .param("at", SqlTime.of(at))
                .update();
    }

    void delete(String run) {
        db.sql("delete from test_run where id = :id").param("id", run).update();
    }

    void order(List<String> runs) {
        for (int i = 0; i < runs.size(); i++) {
            db.sql("update test_run set position = :position where id = :id and position <> :position")
                    .param("position", i + 1)
                    .param("id", runs.get(i))
                    .update();
        }
    }

    List<TestDayResponse.TestFindingResponse> findings(String event, String build) {
        return db.sql("select * from test_finding where event_id = :event and build_id = :build order by at, id")
                .param("event", event)
                .param("build", build)
                .query((row, n) -> new TestDayResponse.TestFindingResponse(
                        row.getString("id"),
                        row.getString("what"),
                        TestFindingRequest.Decision.valueOf(row.getString("decision")),
                        row.getString("work_id"),
                        row.getString("by_name"),
                        row.getTimestamp("at").toInstant()))
                .list();
    }

    /** A finding with whose it is. */
    record Found(String build, String what, Optional<String> work) {}

    Optional<Found> finding(String id) {
        return db.sql("select build_id, what, work_id from test_finding where id = :id")
                .param("id", id)
                .query((row, n) -> new Found(
                        row.getString("build_id"),
                        row.getString("what"),
                        Optional.ofNullable(row.getString("work_id"))))
                .optional();
    }

    void find(String id, String event, String build, String what, String by, Instant at) {
        db.sql("""
                        insert into test_finding (id, event_id, build_id, what, by_name, at)
                        values (:id, :event, :build, :what, :by, :at)""")
                .param("id", id)
                .param("event", event)
                .param("build", build)
                .param("what", what)
                .param("by", by)
                .param("at", SqlTime.of(at))
                .update();
    }

    void decide(String id, TestFindingRequest.Decision decision, @Nullable String work) {
        db.sql("update test_finding set decision = :decision, work_id = :work where id = :id")
                .param("id", id)
                .param("decision", decision.name())
                .param("work", work)
                .update();
    }
}
