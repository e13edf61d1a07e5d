package galecrest.server.round;

import galecrest.core.build.Gate;
import java.time.Instant;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class RoundRepository {
    private final JdbcClient db;

    RoundRepository(JdbcClient db) {
        this.db = db;
    }

    /** A date of a car. */
    record DateRow(String buildId, String name, Instant due, Gate gate) {}

    /** What a round is called and of which car, and how much of its work has been begun or is done. */
    record RoundRow(String buildId, String name, int begun) {}

    Optional<String> car(String build) {
        return db.sql("select trim(number || ' ' || name) from build where id = :id")
                .param("id", build)
                .query(String.class)
                .optional();
    }

    Optional<DateRow> date(String id) {
        return db.sql("select build_id, name, due, gate from commitment where id = :id")
                .param("id", id)
                .query((row, n) -> new DateRow(
                        row.getString("build_id"),
                        row.getString("name"),
                        row.getTimestamp("due").toInstant(),
                        Gate.valueOf(row.getString("gate"))))
                .optional();
    }

    Optional<RoundRow> find(String id) {
        return db.sql("""
                        select r.build_id, r.name, count(w.id) filter (where w.status <> 'TODO') as begun
                        from round r left join stage s on s.round_id = r.id left join work w on w.stage_id = s.id
                        where r.id = :id group by r.id""").param("id", id).query(RoundRow.class).optional();
    }

    boolean isCalled(String build, String name, String but) {
        return db.sql("select exists (select 1 from round where build_id = :build and name = :name and id <> :but)")
                .param("build", build)
                .param("name", name.strip())
                .param("but", but)
                .query(Boolean.class)
                .single();
    }

    void insert(String id, String build, RoundRequest form) {
        bind(db.sql("""
                                insert into round (id, build_id, name, date_id, after_id, position)
                                values (:id, :build, :name, :date, :after,
                                    (select coalesce(max(position), 0) + 1 from round where build_id = :build))"""), id, form).param("build", build).update();
    }

    /** False where the version is not the one that is there. */
    boolean update(String id, RoundRequest form) {
        return bind(
                                db.sql("update round set name = :name, date_id = :date, after_id = :after"
                                        + " where id = :id and version = :version"),
                                id,
                                form)
                        .param("version", form.version())
                        .update()
                > 0;
    }

    private static JdbcClient.StatementSpec bind(JdbcClient.StatementSpec statement, String id, RoundRequest form) {
        return statement
                .param("id", id)
                .param("name", form.name().strip())
                .param("date", form.dateId())
                .param("after", form.afterId());
    }

    /** Removes the round with its stages and all its work. */
    void delete(String id) {
        db.sql("delete from work where stage_id in (select id from stage where round_id = :id)")
                .param("id", id)
                .update();
        db.sql("delete from round where id = :id").param("id", id).update();
    }
}
