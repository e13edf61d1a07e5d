package galecrest.server.component;

import galecrest.core.build.BuildId;
import galecrest.core.component.Component;
import galecrest.core.component.Counter;
import galecrest.core.component.Fitting;
import galecrest.core.component.LifeLimit;
import galecrest.core.component.Wear;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class ComponentRepository {
    /** The column of what was used before, by counter. */
    static final Map<Counter, String> BEFORE = Map.of(
            Counter.HOURS, "before_hours",
            Counter.DISTANCE, "before_km",
            Counter.EVENTS, "before_events",
            Counter.HEAT_CYCLES, "before_cycles",
            Counter.FIRES, "before_fires",
            Counter.IMPACTS, "before_impacts");

    private final JdbcClient db;

    ComponentRepository(JdbcClient db) {
        this.db = db;
    }

    /** A component as it is kept, with what the record has beside it. */
    record Kept(Component component, String note, int version) {}

    /** Every component, by name and identity. */
    List<Kept> all() {
        Map<String, List<Fitting>> fittings = grouped("component_fitting", "from_at", row -> fitting(row));
        Map<String, List<LifeLimit>> limits = grouped("component_limit", "counter, service", row -> limit(row));
        Map<String, List<Entry>> history = history();
        return db.sql("select * from component order by name, identity, id")
                .query((row, n) -> {
                    String id = row.getString("id");
                    Map<Counter, Double> before = new EnumMap<>(Counter.class);
                    for (Map.Entry<Counter, String> column : BEFORE.entrySet()) {
                        before.put(column.getKey(), row.getDouble(column.getValue()));
                    }
                    return new Kept(
                            new Component(
                                    id,
                                    row.getString("name"),
                                    row.getString("identity"),
                                    new Wear(before),
                                    fittings.getOrDefault(id, List.of()),
                                    limits.getOrDefault(id, List.of()),
                                    history.getOrDefault(id, List.of()).stream()
                                            .filter(e -> e.kind() == HistoryKind.SERVICE)
                                            .map(Entry::at)
                                            .toList(),
                                    Optional.ofNullable(row.getObject("expires", LocalDate.class)),
                                    row.getBoolean("safety")),
                            row.getString("note"),
                            row.getInt("version"));
                })
                .list();
    }

    Optional<Kept> find(String id) {
        return all().stream().filter(k -> k.component().id().equals(id)).findFirst();
    }

    private interface Reader<T> {
        T read(ResultSet row) throws SQLException;
    }

    private <T> Map<String, List<T>> grouped(String table, String order, Reader<T> reader) {
        Map<String, List<T>> all = new java.util.HashMap<>();
        db.sql("select * from " + table + " order by " + order)
                .query((row, n) -> all.computeIfAbsent(row.getString("component_id"), c -> new ArrayList<>())
                        .add(reader.read(row)))
                .list();
        return all;
    }

    private static Fitting fitting(ResultSet row) throws SQLException {
        return new Fitting(
                new BuildId(row.getString("build_id")),
                row.getString("place"),
                row.getTimestamp("from_at").toInstant(),
                Optional.ofNullable(SqlTime.instant(row, "until_at")));
    }

    private static LifeLimit limit(ResultSet row) throws SQLException {
        return new LifeLimit(
                Counter.valueOf(row.getString("counter")), row.getDouble("most"), row.getBoolean("service"));
    }

    /** A line of a component's history. */
    record Entry(Instant at, HistoryKind kind, String what, String byName) {}

    /** The histories by component, the oldest line first. */
    Map<String, List<Entry>> history() {
        return grouped(
                "component_history",
                "at, id",
                row -> new Entry(
                        row.getTimestamp("at").toInstant(),
                        HistoryKind.valueOf(row.getString("kind")),
                        row.getString("what"),
                        row.getString("by_name")));
    }

    boolean isCalled(String name, String identity, String but) {
        return !identity.isEmpty()
                && db.sql(
                                "select exists (select 1 from component where name = :name and identity = :identity and id <> :but)")
                        .param("name", name)
                        .param("identity", identity)
                        .param("but", but)
                        .query(Boolean.class)
                        .single();
    }

    void insert(String id, ComponentRequest form) {
        bind(db.sql("""
                        insert into component (id, name, identity, expires, safety, note, before_hours, before_km,
                            before_events, before_cycles, before_fires, before_impacts)
                        values (:id, :name, :identity, :expires, :safety, :note, :before_hours, :before_km,
                            :before_events, :before_cycles, :before_fires, :before_impacts)"""), id, form).update();
        limits(id, form);
    }

    /** False where somebody else has changed it. */
    boolean update(String id, ComponentRequest form) {
        boolean there =
                bind(db.sql("""
                        update component set name = :name, identity = :identity, expires = :expires, safety = :safety,
                            note = :note, before_hours = :before_hours, before_km = :before_km,
                            before_events = :before_events, before_cycles = :before_cycles,
                            before_fires = :before_fires, before_impacts = :before_impacts
                        where id = :id and version = :version"""), id, form).param("version", form.version()).update() > 0;
        if (there) {
            db.sql("delete from component_limit where component_id = :id")
                    .param("id", id)
                    .update();
            limits(id, form);
        }
        return there;
    }

    private static JdbcClient.StatementSpec bind(JdbcClient.StatementSpec sql, String id, ComponentRequest form) {
        JdbcClient.StatementSpec bound = sql.param("id", id)
                .param("name", said(form.name()))
                .param("identity", said(form.identity()))
                .param("expires", form.expires())
                .param("safety", form.safety())
                .param("note", said(form.note()));
        for (Map.Entry<Counter, String> column : BEFORE.entrySet()) {
            bound = bound.param(
                    column.getValue(),
                    form.before() == null ? 0.0 : form.before().getOrDefault(column.getKey(), 0.0));
        }
        return bound;
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    private void limits(String id, ComponentRequest form) {
        for (LimitRequest limit : form.limits() == null ? List.<LimitRequest>of() : form.limits()) {
            db.sql("""
                            insert into component_limit (id, component_id, counter, most, service)
                            values (:id, :component, :counter, :most, :service)""")
                    .param("id", NewId.next())
                    .param("component", id)
                    .param("counter", limit.counter().name())
                    .param("most", limit.most())
                    .param("service", limit.service())
                    .update();
        }
    }

    void delete(String id) {
        db.sql("delete from component where id = :id").param("id", id).update();
    }

    void fit(String id, String build, String place, Instant at) {
        db.sql("""
                        insert into component_fitting (id, component_id, build_id, place, from_at)
                        values (:id, :component, :build, :place, :at)""")
                .param("id", NewId.next())
                .param("component", id)
                .param("build", build)
                .param("place", place)
                .param("at", SqlTime.of(at))
                .update();
    }

    void takeOff(String id, Instant at) {
        db.sql("update component_fitting set until_at = :at where component_id = :id and until_at is null")
                .param("id", id)
                .param("at", SqlTime.of(at))
                .update();
    }

    void note(String id, HistoryKind kind, String what, Instant at, String by) {
        db.sql("""
                        insert into component_history (id, component_id, at, kind, what, by_name)
                        values (:id, :component, :at, :kind, :what, :by)""")
                .param("id", NewId.next())
                .param("component", id)
                .param("at", SqlTime.of(at))
                .param("kind", kind.name())
                .param("what", what)
                .param("by", by)
                .update();
    }

    /** What is to come of a car's events: how long and how far it runs in each. */
    record Ahead(String buildId, String commitmentId, String name, Instant at, double hours, double km) {}

    /** The events to come of all cars but those that go along as spares. */
    List<Ahead> ahead(Instant now) {
        return db.sql("""
                        select c.build_id, coalesce(c.commitment_id, '') as commitment_id, e.name,
                            coalesce(min(s.start_at), e.loads_at) as at,
                            coalesce(sum(s.minutes), 0) / 60.0 as hours, coalesce(sum(s.km), 0) as km
                        from event e join event_car c on c.event_id = e.id left join event_session s on s.event_id = e.id
                        where e.booked_at is null and not c.spare and coalesce(e.back_at, e.loads_at) > :now
                        group by c.build_id, c.commitment_id, e.id""").param("now", SqlTime.of(now)).query(Ahead.class).list();
    }

    /** The names of all builds by their ids. */
    Map<String, String> cars() {
        record Row(String id, String called) {}
        return db.sql("select id, trim(number || ' ' || name) as called from build").query(Row.class).list().stream()
                .collect(Collectors.toMap(Row::id, Row::called));
    }
}
