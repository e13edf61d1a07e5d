package galecrest.server.build;

import galecrest.core.build.Gate;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What was fitted for now and must be made good before a gate. */
@Repository
public class FittedForNowRepository {
    private final JdbcClient db;

    FittedForNowRepository(JdbcClient db) {
        this.db = db;
    }

    public void insert(String build, String what, String reason, Gate gate, Instant at) {
        db.sql("""
                        insert into fitted_for_now (id, build_id, what, reason, gate, at)
                        values (:id, :build, :what, :reason, :gate, :at)""")
                .param("id", NewId.next())
                .param("build", build)
                .param("what", what)
                .param("reason", reason)
                .param("gate", gate.name())
                .param("at", SqlTime.of(at))
                .update();
    }

    /** False where there is no such thing, or it has been made good. */
    boolean madeGood(String id, Instant at) {
        return db.sql("update fitted_for_now set made_good_at = :at where id = :id and made_good_at is null")
                        .param("id", id)
                        .param("at", SqlTime.of(at))
                        .update()
                > 0;
    }
}
