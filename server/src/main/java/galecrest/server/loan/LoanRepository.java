package galecrest.server.loan;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class LoanRepository {
    private final JdbcClient db;

    LoanRepository(JdbcClient db) {
        this.db = db;
    }

    List<LoanResponse> open() {
        return db.sql("""
                        select id, what, from_build_id, to_build_id, part_id, at, by_name from loan
                        where returned_at is null order by at, id""").query(LoanResponse.class).list();
    }

    Optional<LoanResponse> open(String id) {
        return db.sql("""
                        select id, what, from_build_id, to_build_id, part_id, at, by_name from loan
                        where id = :id and returned_at is null""").param("id", id).query(LoanResponse.class).optional();
    }

    /** A car as people call it. */
    Optional<String> car(String build) {
        return db.sql("select trim(number || ' ' || name) from build where id = :id")
                .param("id", build)
                .query(String.class)
                .optional();
    }

    void insert(
            String id, String what, @Nullable String from, String to, @Nullable String part, String by, Instant now) {
        db.sql("insert into loan values (:id, :what, :from, :to, :part, :now, :by)")
                .param("id", id)
                .param("what", what)
                .param("from", from)
                .param("to", to)
                .param("part", part)
                .param("now", Timestamp.from(now))
                .param("by", by)
                .update();
    }

    void returned(String id, Instant now) {
        db.sql("update loan set returned_at = :now where id = :id")
                .param("id", id)
                .param("now", Timestamp.from(now))
                .update();
    }
}
