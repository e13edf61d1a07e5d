package galecrest.server.scrutiny;

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
class ScrutinyRepository {
    private final JdbcClient db;

    ScrutinyRepository(JdbcClient db) {
        this.db = db;
    }

    /** An inspection with whose it is. */
    record Kept(String build, ScrutinyResponse inspection) {}

    /** Those of a car, the last first. */
    List<ScrutinyResponse> of(String build) {
        return kept("build_id", build).stream().map(Kept::inspection).toList();
    }

    Optional<Kept> find(String id) {
        return kept("id", id).stream().findFirst();
    }

    private List<Kept> kept(String column, String value) {
        Map<String, List<ScrutinyResponse.ScrutinyLineResponse>> lines = new HashMap<>();
        db.sql("select l.* from scrutiny_line l join scrutiny i on i.id = l.scrutiny_id where i." + column
                        + " = :value order by l.position, l.id")
                .param("value", value)
                .query((row, n) -> lines.computeIfAbsent(row.getString("scrutiny_id"), i -> new ArrayList<>())
                        .add(new ScrutinyResponse.ScrutinyLineResponse(
                                row.getString("id"),
                                row.getString("text"),
                                ScrutinyLineRequest.Result.valueOf(row.getString("result")),
                                row.getString("note"),
                                row.getBoolean("failed_before"),
                                row.getString("work_id"))))
                .list();
        return db.sql("select * from scrutiny where " + column + " = :value order by at desc, id")
                .param("value", value)
                .query((row, n) -> new Kept(
                        row.getString("build_id"),
                        new ScrutinyResponse(
                                row.getString("id"),
                                row.getString("inspector"),
                                row.getTimestamp("at").toInstant(),
                                SqlTime.instant(row, "again_at"),
                                row.getString("entry"),
                                SqlTime.instant(row, "signed_at"),
                                row.getString("signed_by"),
                                lines.getOrDefault(row.getString("id"), List.of()))))
                .list();
    }

    /** The inspection that a line belongs to. */
    Optional<String> ofLine(String line) {
        return db.sql("select scrutiny_id from scrutiny_line where id = :id")
                .param("id", line)
                .query(String.class)
                .optional();
    }

    void insert(String id, String build, String inspector, Instant at) {
        db.sql("insert into scrutiny (id, build_id, inspector, at) values (:id, :build, :inspector, :at)")
                .param("id", id)
                .param("build", build)
                .param("inspector", inspector)
                .param("at", SqlTime.of(at))
                .update();
    }

    void update(String id, String inspector, @Nullable Instant againAt) {
        db.sql("update scrutiny set inspector = :inspector, again_at = :again where id = :id")
                .param("id", id)
                .param("inspector", inspector)
                .param("again", SqlTime.of(againAt))
                .update();
    }

    void addLine(String inspection, String text) {
        db.sql("""
                        insert into scrutiny_line (id, scrutiny_id, position, text)
                        values (:id, :inspection, (select coalesce(max(position), 0) + 1 from scrutiny_line
                            where scrutiny_id = :inspection), :text)""")
                .param("id", NewId.next())
                .param("inspection", inspection)
                .param("text", text)
                .update();
    }

    void say(String line, ScrutinyLineRequest.Result result, String note, @Nullable String work) {
        db.sql("""
                        update scrutiny_line set failed_before = failed_before or result = 'FAIL' or :result = 'FAIL',
                            result = :result, note = :note, work_id = coalesce(:work, work_id)
                        where id = :id""")
                .param("id", line)
                .param("result", result.name())
                .param("note", note)
                .param("work", work)
                .update();
    }

    void sign(String id, String entry, String by, Instant at) {
        db.sql("update scrutiny set entry = :entry, signed_by = :by, signed_at = :at where id = :id")
                .param("id", id)
                .param("entry", entry)
                .param("by", by)
                .param("at", SqlTime.of(at))
                .update();
    }

    void delete(String id) {
        db.sql("delete from scrutiny where id = :id").param("id", id).update();
    }
}
