package galecrest.server.fault;

import galecrest.server.NewId;
import java.sql.Timestamp;
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
class FaultRepository {
    private static final int MOST = 100;

    private final JdbcClient db;

    FaultRepository(JdbcClient db) {
        this.db = db;
    }

    /** A fault without what was checked. */
    record FaultRow(
            String id,
            String symptom,
            Instant notedAt,
            String notedBy,
            @Nullable String cause,
            @Nullable Instant solvedAt) {}

    private record CheckRow(String faultId, FaultResponse.FaultCheckView check) {}

    /** Open ones first, then the latest. */
    List<FaultRow> faults(String build) {
        return db.sql("""
                        select id, symptom, noted_at, noted_by, cause, solved_at from fault
                        where build_id = :build order by solved_at desc nulls first, noted_at desc, id limit :most""")
                .param("build", build)
                .param("most", MOST)
                .query(FaultRow.class)
                .list();
    }

    Map<String, List<FaultResponse.FaultCheckView>> checks(String build) {
        Map<String, List<FaultResponse.FaultCheckView>> checks = new HashMap<>();
        db.sql("""
                        select c.fault_id, c.what, c.how, c.result, c.ruled_out, c.at, c.by_name from fault_check c
                        join fault f on f.id = c.fault_id where f.build_id = :build order by c.at, c.id""")
                .param("build", build)
                .query((row, n) -> new CheckRow(
                        row.getString("fault_id"),
                        new FaultResponse.FaultCheckView(
                                row.getString("what"),
                                row.getString("how"),
                                row.getString("result"),
                                row.getBoolean("ruled_out"),
                                row.getTimestamp("at").toInstant(),
                                row.getString("by_name"))))
                .list()
                .forEach(c -> checks.computeIfAbsent(c.faultId(), f -> new ArrayList<>())
                        .add(c.check()));
        return checks;
    }

    /** The symptom of a fault that is not solved. */
    Optional<String> open(String id) {
        return db.sql("select symptom from fault where id = :id and solved_at is null")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void insert(String id, String build, String symptom, String by, Instant now) {
        db.sql(
                        "insert into fault (id, build_id, symptom, noted_at, noted_by) values (:id, :build, :symptom, :now, :by)")
                .param("id", id)
                .param("build", build)
                .param("symptom", symptom)
                .param("now", Timestamp.from(now))
                .param("by", by)
                .update();
    }

    void check(String fault, FaultCheckRequest form, String by, Instant now) {
        db.sql("insert into fault_check values (:id, :fault, :what, :how, :result, :out, :now, :by)")
                .param("id", NewId.next())
                .param("fault", fault)
                .param("what", form.what().strip())
                .param("how", form.how().strip())
                .param("result", form.result().strip())
                .param("out", form.ruledOut())
                .param("now", Timestamp.from(now))
                .param("by", by)
                .update();
    }

    void solved(String id, String cause, Instant now) {
        db.sql("update fault set cause = :cause, solved_at = :now where id = :id")
                .param("id", id)
                .param("cause", cause)
                .param("now", Timestamp.from(now))
                .update();
    }
}
