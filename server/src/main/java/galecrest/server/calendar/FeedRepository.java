package galecrest.server.calendar;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class FeedRepository {
    private final JdbcClient db;

    FeedRepository(JdbcClient db) {
        this.db = db;
    }

    void insert(String token, FeedKind kind, String subject, Instant at) {
        db.sql("insert into feed (token, kind, subject, made_at) values (:token, :kind, :subject, :at)")
                .param("token", token)
                .param("kind", kind.name())
                .param("subject", subject)
                .param("at", Timestamp.from(at))
                .update();
    }

    int delete(String token) {
        return db.sql("delete from feed where token = :token")
                .param("token", token)
                .update();
    }

    Optional<FeedRow> find(String token) {
        return db.sql("select * from feed where token = :token")
                .param("token", token)
                .query(FeedRow.class)
                .optional();
    }

    List<FeedRow> all() {
        return db.sql("select * from feed order by kind, made_at")
                .query(FeedRow.class)
                .list();
    }
}
