package galecrest.server.rollout;

import galecrest.core.rollout.Attempt;
import galecrest.core.rollout.Finding;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class RollOutRepository {
    private final JdbcClient db;

    RollOutRepository(JdbcClient db) {
        this.db = db;
    }

    /** A try with what the record has beside it. */
    record Kept(Attempt attempt, String buildId, Instant opened, double km, String extremes) {}

    /** The tries of a car, in the order in which they were begun. */
    List<Kept> attempts(String build) {
        return kept("build_id = :value", build);
    }

    Optional<Kept> attempt(String id) {
        return kept("id = :value", id).stream().findFirst();
    }

    /** The tries of all cars that run or drive now. */
    List<Kept> goingOn() {
        return kept("went_at is not null and ended_at is null and :value = ''", "");
    }

    private List<Kept> kept(String where, String value) {
        Map<String, List<Attempt.Tick>> ticks = new HashMap<>();
        db.sql("select t.* from rollout_tick t where t.attempt_id in (select id from rollout_attempt where " + where
                        + ") order by t.at, t.id")
                .param("value", value)
                .query((row, n) -> ticks.computeIfAbsent(row.getString("attempt_id"), a -> new ArrayList<>())
                        .add(new Attempt.Tick(
                                row.getString("check_text"),
                                row.getBoolean("after_step"),
                                row.getString("by_name"),
                                row.getTimestamp("at").toInstant())))
                .list();
        return db.sql("select * from rollout_attempt where " + where + " order by opened_at, id")
                .param("value", value)
                .query((row, n) -> new Kept(
                        new Attempt(
                                row.getString("id"),
                                row.getString("step"),
                                Optional.ofNullable(row.getString("driver")),
                                Optional.ofNullable(row.getString("looker")),
                                ticks.getOrDefault(row.getString("id"), List.of()),
                                Optional.ofNullable(SqlTime.instant(row, "went_at")),
                                Optional.ofNullable(SqlTime.instant(row, "ended_at")),
                                row.getBoolean("done"),
                                Optional.ofNullable(row.getString("stop")),
                                row.getString("seen")),
                        row.getString("build_id"),
                        row.getTimestamp("opened_at").toInstant(),
                        row.getDouble("km"),
                        row.getString("extremes")))
                .list();
    }

    void open(String id, String build, String step, Instant at) {
        db.sql("insert into rollout_attempt (id, build_id, step, opened_at) values (:id, :build, :step, :at)")
                .param("id", id)
                .param("build", build)
                .param("step", step)
                .param("at", SqlTime.of(at))
                .update();
    }

    void drop(String id) {
        db.sql("delete from rollout_attempt where id = :id").param("id", id).update();
    }

    /** False where it is ticked already. */
    boolean tick(String attempt, TickRequest form, String by, Instant at) {
        return db.sql("""
                        insert into rollout_tick (id, attempt_id, check_text, after_step, by_name, at)
                        values (:id, :attempt, :check, :after, :by, :at)
                        on conflict (attempt_id, after_step, check_text) do nothing""")
                        .param("id", NewId.next())
                        .param("attempt", attempt)
                        .param("check", form.check())
                        .param("after", form.after())
                        .param("by", by)
                        .param("at", SqlTime.of(at))
                        .update()
                > 0;
    }

    /** False where it was not ticked. */
    boolean untick(String attempt, TickRequest form) {
        return db.sql("""
                        delete from rollout_tick
                        where attempt_id = :attempt and check_text = :check and after_step = :after""")
                        .param("attempt", attempt)
                        .param("check", form.check())
                        .param("after", form.after())
                        .update()
                > 0;
    }

    void names(String id, @Nullable String driver, @Nullable String looker) {
        db.sql("update rollout_attempt set driver = :driver, looker = :looker where id = :id")
                .param("id", id)
                .param("driver", driver)
                .param("looker", looker)
                .update();
    }

    void go(String id, Instant at) {
        db.sql("update rollout_attempt set went_at = :at where id = :id")
                .param("id", id)
                .param("at", SqlTime.of(at))
                .update();
    }

    void askToStop(String id, String because) {
        db.sql("update rollout_attempt set stop = :because where id = :id")
                .param("id", id)
                .param("because", because)
                .update();
    }

    void end(String id, EndRequest form, String extremes, Instant at) {
        db.sql("""
                        update rollout_attempt
                        set ended_at = :at, done = :done, seen = :seen, km = :km, extremes = :extremes
                        where id = :id""")
                .param("id", id)
                .param("at", SqlTime.of(at))
                .param("done", form.done())
                .param("seen", said(form.seen()))
                .param("km", form.km())
                .param("extremes", extremes)
                .update();
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    /** What was found, and how its job stands; {@code status} is null where the job was removed. */
    record Found(
            String id,
            String what,
            String during,
            @Nullable String beforeStep,
            @Nullable String workId,
            @Nullable String status,
            @Nullable Instant doneAt,
            Instant at,
            String byName) {
        Finding finding() {
            return new Finding(id, what, during, Optional.ofNullable(beforeStep), isFixed());
        }

        boolean isFixed() {
            return status == null || status.equals("DONE");
        }
    }

    /** What was found on a car, the oldest first. */
    List<Found> findings(String build) {
        return db.sql("""
                        select f.id, f.what, f.during, f.before_step, f.work_id, w.status, w.done_at, f.at, f.by_name
                        from rollout_finding f left join work w on w.id = f.work_id
                        where f.build_id = :build order by f.at, f.id""").param("build", build).query(Found.class).list();
    }

    /** The car of a finding; empty where it is gone. */
    Optional<String> carOf(String finding) {
        return db.sql("select build_id from rollout_finding where id = :id")
                .param("id", finding)
                .query(String.class)
                .optional();
    }

    void find(
            String build,
            @Nullable String attempt,
            String what,
            String during,
            @Nullable String before,
            String work,
            String by,
            Instant at) {
        db.sql("""
                        insert into rollout_finding (id, build_id, attempt_id, what, during, before_step, work_id, at, by_name)
                        values (:id, :build, :attempt, :what, :during, :before, :work, :at, :by)""")
                .param("id", NewId.next())
                .param("build", build)
                .param("attempt", attempt)
                .param("what", what)
                .param("during", during)
                .param("before", before)
                .param("work", work)
                .param("at", SqlTime.of(at))
                .param("by", by)
                .update();
    }

    void putBefore(String finding, @Nullable String before) {
        db.sql("update rollout_finding set before_step = :before where id = :id")
                .param("id", finding)
                .param("before", before)
                .update();
    }

    /** Logs a fire; its id is that of what it came from, so that nothing is logged twice. False where it is there. */
    boolean fire(
            String id, String build, @Nullable String attempt, FireRequest form, String leaked, Instant at, String by) {
        return db.sql("""
                        insert into fire (id, build_id, attempt_id, at, seconds, oil_pressure, water, oil, stopped_because,
                            leaked, warm, by_name)
                        values (:id, :build, :attempt, :at, :seconds, :pressure, :water, :oil, :because, :leaked, :warm, :by)
                        on conflict (id) do nothing""")
                        .param("id", id)
                        .param("build", build)
                        .param("attempt", attempt)
                        .param("at", SqlTime.of(at))
                        .param("seconds", form.seconds())
                        .param("pressure", said(form.oilPressure()))
                        .param("water", said(form.water()))
                        .param("oil", said(form.oil()))
                        .param("because", said(form.stoppedBecause()))
                        .param("leaked", leaked)
                        .param("warm", form.warm())
                        .param("by", by)
                        .update()
                > 0;
    }

    /** The fires of a car, the oldest first. */
    List<RollOutResponse.FireResponse> fires(String build) {
        return db.sql("""
                        select at, seconds, oil_pressure, water, oil, stopped_because, leaked, warm, by_name as by
                        from fire where build_id = :build order by at, id""")
                .param("build", build)
                .query((row, n) -> new RollOutResponse.FireResponse(
                        row.getTimestamp("at").toInstant(),
                        row.getInt("seconds"),
                        row.getString("oil_pressure"),
                        row.getString("water"),
                        row.getString("oil"),
                        row.getString("stopped_because"),
                        row.getString("leaked"),
                        row.getBoolean("warm"),
                        row.getString("by")))
                .list();
    }

    /** Counts whole kilometres to the running-in that is open on a car. */
    void ranIn(String build, long km) {
        db.sql("""
                        update running_in set done_km = least(distance_km, done_km + :km)
                        where work_id in (select id from work where build_id = :build and status <> 'DONE')""").param("build", build).param("km", km).update();
    }
}
