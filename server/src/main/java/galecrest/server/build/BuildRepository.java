package galecrest.server.build;

import galecrest.server.SqlTime;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class BuildRepository {
    private final JdbcClient db;

    BuildRepository(JdbcClient db) {
        this.db = db;
    }

    Optional<String> name(String id) {
        return db.sql("select trim(number || ' ' || name) from build where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void insert(String id, BuildRequest form) {
        bind(db.sql("""
                                insert into build (id, number, name, body, customer, discipline, weight, limit_front,
                                    limit_engine_bay, limit_cockpit, limit_underside, limit_rear, position)
                                values (:id, :number, :name, :body, :customer, :discipline, :weight, :front, :engineBay,
                                    :cockpit, :underside, :rear, (select coalesce(max(position), 0) + 1 from build))"""), id, form).update();
    }

    /** False where the version is not the one that is there. */
    boolean update(String id, BuildRequest form) {
        return bind(db.sql("""
                                        update build
                                        set number = :number, name = :name, body = :body, customer = :customer,
                                            discipline = :discipline, weight = :weight, limit_front = :front,
                                            limit_engine_bay = :engineBay, limit_cockpit = :cockpit,
                                            limit_underside = :underside, limit_rear = :rear
                                        where id = :id and version = :version"""), id, form).param("version", form.version()).update() > 0;
    }

    private static JdbcClient.StatementSpec bind(JdbcClient.StatementSpec statement, String id, BuildRequest form) {
        return statement
                .param("id", id)
                .param("number", form.number().strip())
                .param("name", form.name().strip())
                .param("body", form.body().name())
                .param("customer", form.customer())
                .param("discipline", form.discipline())
                .param("weight", form.weight())
                .param("front", form.limitFront())
                .param("engineBay", form.limitEngineBay())
                .param("cockpit", form.limitCockpit())
                .param("underside", form.limitUnderside())
                .param("rear", form.limitRear());
    }

    void delete(String id) {
        db.sql("delete from build where id = :id").param("id", id).update();
    }

    /** A date of a build. */
    record DateRow(String id, String name, Instant due) {}

    List<DateRow> dates(String build) {
        return db.sql("select id, name, due from commitment where build_id = :build order by due, id")
                .param("build", build)
                .query((row, n) -> new DateRow(
                        row.getString("id"),
                        row.getString("name"),
                        row.getTimestamp("due").toInstant()))
                .list();
    }

    /** What is being worked on, on this car. */
    List<String> goingOn(String build) {
        return db.sql("""
                        select name from work
                        where build_id = :build and kind = 'JOB' and status = 'STARTED' and hold_reason is null
                        order by position""").param("build", build).query(String.class).list();
    }

    boolean isParked(String build) {
        return db.sql("select parked from build where id = :id")
                .param("id", build)
                .query(Boolean.class)
                .single();
    }

    void park(String build, @Nullable Instant until) {
        db.sql("update build set parked = true, parked_until = :until where id = :id")
                .param("id", build)
                .param("until", SqlTime.of(until))
                .update();
    }

    void takeBack(String build) {
        db.sql("update build set parked = false, parked_until = null where id = :id")
                .param("id", build)
                .update();
    }

    void moveDate(String id, Instant due) {
        db.sql("update commitment set due = :due, back_at = back_at + (cast(:due as timestamptz) - due) where id = :id")
                .param("id", id)
                .param("due", Timestamp.from(due))
                .update();
    }

    /** Names a date anew and moves it; what goes along is said anew. */
    void moveDate(String id, String name, Instant due) {
        db.sql("update commitment set name = :name, due = :due, back_at = null where id = :id")
                .param("id", id)
                .param("name", name)
                .param("due", SqlTime.of(due))
                .update();
    }

    Optional<String> commitmentName(String id) {
        return db.sql("select name from commitment where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void insertCommitment(String id, CommitmentRequest form) {
        db.sql("""
                        insert into commitment (id, build_id, name, kind, due, gate, weight)
                        values (:id, :build, :name, :kind, :due, :gate, :weight)""")
                .param("id", id)
                .param("build", form.buildId())
                .param("name", form.name().strip())
                .param("kind", form.kind().name())
                .param("due", Timestamp.from(form.due()))
                .param("gate", form.gate().name())
                .param("weight", form.weight())
                .update();
    }

    boolean updateCommitment(String id, CommitmentRequest form) {
        return db.sql("""
                                update commitment
                                set name = :name, kind = :kind, due = :due, back_at = back_at + (cast(:due as timestamptz) - due), gate = :gate,
                                    weight = :weight
                                where id = :id and version = :version""")
                        .param("id", id)
                        .param("name", form.name().strip())
                        .param("kind", form.kind().name())
                        .param("due", Timestamp.from(form.due()))
                        .param("gate", form.gate().name())
                        .param("weight", form.weight())
                        .param("version", form.version())
                        .update()
                > 0;
    }

    void deleteCommitment(String id) {
        db.sql("delete from commitment where id = :id").param("id", id).update();
    }
}
