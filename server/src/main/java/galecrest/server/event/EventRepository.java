package galecrest.server.event;

import galecrest.core.tyre.Session;
import galecrest.core.tyre.TyreSet;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class EventRepository {
    private final JdbcClient db;

    EventRepository(JdbcClient db) {
        this.db = db;
    }

    private interface Reader<T> {
        T read(ResultSet row) throws SQLException;
    }

    private <T> Map<String, List<T>> byEvent(String sql, Reader<T> reader) {
        Map<String, List<T>> all = new HashMap<>();
        db.sql(sql)
                .query((row, n) -> all.computeIfAbsent(row.getString("event_id"), e -> new ArrayList<>())
                        .add(reader.read(row)))
                .list();
        return all;
    }

    /** Every event, the soonest first. */
    List<EventResponse> all() {
        Map<String, List<EventResponse.EventSessionResponse>> sessions = byEvent(
                "select * from event_session order by start_at, id",
                row -> new EventResponse.EventSessionResponse(
                        row.getString("id"),
                        row.getString("name"),
                        Session.Kind.valueOf(row.getString("kind")),
                        row.getTimestamp("start_at").toInstant(),
                        row.getInt("minutes"),
                        row.getDouble("km")));
        Map<String, List<EventResponse.EventCarResponse>> cars = byEvent(
                "select c.*, coalesce(nullif(b.number, ''), b.name) as called"
                        + " from event_car c join build b on b.id = c.build_id order by c.spare, b.position",
                row -> new EventResponse.EventCarResponse(
                        row.getString("build_id"),
                        row.getString("called"),
                        row.getBoolean("spare"),
                        row.getString("driver"),
                        row.getString("commitment_id"),
                        row.getString("round_id")));
        Map<String, List<String>> crew =
                byEvent("select c.* from event_crew c order by person_id", row -> row.getString("person_id"));
        return db.sql("select * from event order by loads_at, id")
                .query((row, n) -> {
                    String id = row.getString("id");
                    return new EventResponse(
                            id,
                            row.getString("name"),
                            row.getString("place"),
                            row.getString("class_name"),
                            row.getTimestamp("loads_at").toInstant(),
                            SqlTime.instant(row, "back_at"),
                            row.getInt("most_sets"),
                            row.getInt("most_new"),
                            row.getInt("uses"),
                            row.getTimestamp("booked_at") != null,
                            sessions.getOrDefault(id, List.of()),
                            cars.getOrDefault(id, List.of()),
                            crew.getOrDefault(id, List.of()),
                            row.getInt("version"));
                })
                .list();
    }

    Optional<EventResponse> find(String id) {
        return all().stream().filter(e -> e.id().equals(id)).findFirst();
    }

    void insert(String id, EventRequest form) {
        bind(db.sql("""
                        insert into event (id, name, place, class_name, loads_at, back_at, most_sets, most_new, uses)
                        values (:id, :name, :place, :class, :loads, :back, :sets, :new, :uses)"""), id, form).update();
    }

    /** False where somebody else has changed it. */
    boolean update(String id, EventRequest form) {
        return bind(db.sql("""
                        update event set name = :name, place = :place, class_name = :class, loads_at = :loads,
                            back_at = :back, most_sets = :sets, most_new = :new, uses = :uses
                        where id = :id and version = :version"""), id, form).param("version", form.version()).update() > 0;
    }

    private static JdbcClient.StatementSpec bind(JdbcClient.StatementSpec sql, String id, EventRequest form) {
        return sql.param("id", id)
                .param("name", said(form.name()))
                .param("place", said(form.place()))
                .param("class", said(form.className()))
                .param("loads", SqlTime.of(form.loadsAt()))
                .param("back", SqlTime.of(form.backAt()))
                .param("sets", form.mostSets())
                .param("new", form.mostNew())
                .param("uses", form.uses());
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    void delete(String id) {
        db.sql("delete from event where id = :id").param("id", id).update();
    }

    void keepSession(String event, String id, EventRequest.EventSessionRequest form) {
        db.sql("""
                        insert into event_session (id, event_id, name, kind, start_at, minutes, km)
                        values (:id, :event, :name, :kind, :start, :minutes, :km)
                        on conflict (id) do update set name = excluded.name, kind = excluded.kind,
                            start_at = excluded.start_at, minutes = excluded.minutes, km = excluded.km""")
                .param("id", id)
                .param("event", event)
                .param("name", said(form.name()))
                .param("kind", form.kind().name())
                .param("start", SqlTime.of(form.start()))
                .param("minutes", form.minutes())
                .param("km", form.km())
                .update();
    }

    void dropSession(String id) {
        db.sql("delete from event_session where id = :id").param("id", id).update();
    }

    void addCar(String event, EventRequest.EventCarRequest form, String commitment, @Nullable String round) {
        db.sql("""
                        insert into event_car (id, event_id, build_id, spare, driver, commitment_id, round_id)
                        values (:id, :event, :build, :spare, :driver, :commitment, :round)""")
                .param("id", NewId.next())
                .param("event", event)
                .param("build", form.buildId())
                .param("spare", form.spare())
                .param("driver", said(form.driver()))
                .param("commitment", commitment)
                .param("round", round)
                .update();
    }

    void updateCar(String event, EventRequest.EventCarRequest form) {
        db.sql("update event_car set spare = :spare, driver = :driver where event_id = :event and build_id = :build")
                .param("event", event)
                .param("build", form.buildId())
                .param("spare", form.spare())
                .param("driver", said(form.driver()))
                .update();
    }

    void dropCar(String event, String build) {
        db.sql("delete from event_car where event_id = :event and build_id = :build")
                .param("event", event)
                .param("build", build)
                .update();
    }

    void crew(String event, List<String> people) {
        db.sql("delete from event_crew where event_id = :event")
                .param("event", event)
                .update();
        people.stream().distinct().forEach(person -> db.sql(
                        "insert into event_crew (id, event_id, person_id) values (:id, :event, :person)")
                .param("id", NewId.next())
                .param("event", event)
                .param("person", person)
                .update());
    }

    void dropDate(String commitment) {
        db.sql("delete from commitment where id = :id").param("id", commitment).update();
    }

    /** False where work of the round has been begun: then it stays, and is for no date any more. */
    boolean dropRound(String round) {
        boolean begun = db.sql("""
                        select exists (select 1 from work w join stage s on s.id = w.stage_id
                            where s.round_id = :id and w.status <> 'TODO')""").param("id", round).query(Boolean.class).single();
        if (!begun) {
            db.sql("delete from work where stage_id in (select id from stage where round_id = :id)")
                    .param("id", round)
                    .update();
            db.sql("delete from round where id = :id").param("id", round).update();
        }
        return !begun;
    }

    void booked(String event, Instant at) {
        db.sql("update event set booked_at = :at where id = :id")
                .param("id", event)
                .param("at", SqlTime.of(at))
                .update();
    }

    /** Every set of tyres. */
    List<TyreSetResponse> sets() {
        return db.sql(
                        "select id, build_id, name, kind, state, cycles, made_on, version from tyre_set order by build_id, name")
                .query((row, n) -> new TyreSetResponse(
                        row.getString("id"),
                        row.getString("build_id"),
                        row.getString("name"),
                        TyreSet.Kind.valueOf(row.getString("kind")),
                        TyreSet.State.valueOf(row.getString("state")),
                        row.getInt("cycles"),
                        row.getObject("made_on", LocalDate.class),
                        row.getInt("version")))
                .list();
    }

    void insertSet(String id, TyreSetRequest form) {
        bindSet(db.sql("""
                        insert into tyre_set (id, build_id, name, kind, state, cycles, made_on)
                        values (:id, :build, :name, :kind, :state, :cycles, :made)"""), id, form).param("build", form.buildId()).update();
    }

    /** False where somebody else has changed it. */
    boolean updateSet(String id, TyreSetRequest form) {
        return bindSet(db.sql("""
                        update tyre_set set name = :name, kind = :kind, state = :state, cycles = :cycles,
                            made_on = :made
                        where id = :id and version = :version"""), id, form).param("version", form.version()).update() > 0;
    }

    private static JdbcClient.StatementSpec bindSet(JdbcClient.StatementSpec sql, String id, TyreSetRequest form) {
        return sql.param("id", id)
                .param("name", said(form.name()))
                .param("kind", form.kind().name())
                .param("state", form.state().name())
                .param("cycles", form.cycles())
                .param("made", form.madeOn());
    }

    void dropSet(String id) {
        db.sql("delete from tyre_set where id = :id").param("id", id).update();
    }

    /** Books a session on a set: it is used, and has a heat cycle more. */
    void ran(String set) {
        db.sql("update tyre_set set state = 'USED', cycles = cycles + 1 where id = :id")
                .param("id", set)
                .update();
    }

    /** The sets that were chosen by hand for a car at an event, by session. */
    Map<String, String> locks(String event, String build) {
        Map<String, String> all = new HashMap<>();
        db.sql("""
                        select l.session_id, l.set_id from tyre_lock l join event_session s on s.id = l.session_id
                        where s.event_id = :event and l.build_id = :build""")
                .param("event", event)
                .param("build", build)
                .query((row, n) -> all.put(row.getString("session_id"), row.getString("set_id")))
                .list();
        return all;
    }

    void lock(TyreLockRequest form) {
        db.sql("delete from tyre_lock where session_id = :session and build_id = :build")
                .param("session", form.sessionId())
                .param("build", form.buildId())
                .update();
        if (form.setId() != null) {
            db.sql("insert into tyre_lock (id, session_id, build_id, set_id) values (:id, :session, :build, :set)")
                    .param("id", NewId.next())
                    .param("session", form.sessionId())
                    .param("build", form.buildId())
                    .param("set", form.setId())
                    .update();
        }
    }
}
