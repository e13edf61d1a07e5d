package galecrest.server.restriction;

import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class RestrictionRepository {
    private final JdbcClient db;

    RestrictionRepository(JdbcClient db) {
        this.db = db;
    }

    void insert(String build, String text, String because, @Nullable String work, String by, Instant at) {
        db.sql("""
                        insert into restriction (id, build_id, text, because, work_id, by_name, at)
                        values (:id, :build, :text, :because, :work, :by, :at)""")
                .param("id", NewId.next())
                .param("build", build)
                .param("text", text)
                .param("because", because)
                .param("work", work)
                .param("by", by)
                .param("at", SqlTime.of(at))
                .update();
    }

    /** What a car may not do now, in words. */
    List<String> of(String build) {
        return db.sql("select text from restriction where build_id = :build and lifted_at is null order by at, id")
                .param("build", build)
                .query(String.class)
                .list();
    }

    /** A restriction that stands. */
    record Standing(String buildId, String text) {}

    Optional<Standing> standing(String id) {
        return db.sql("select build_id, text from restriction where id = :id and lifted_at is null")
                .param("id", id)
                .query(Standing.class)
                .optional();
    }

    void lift(String id, String by, Instant at) {
        db.sql("update restriction set lifted_by = :by, lifted_at = :at where id = :id")
                .param("id", id)
                .param("by", by)
                .param("at", SqlTime.of(at))
                .update();
    }
}
