package galecrest.server.told;

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

    /** Whose calendar a feed is. */
    enum Kind {
        PERSON,
        STATION,
        BUILD
    }

    /** A feed by its private link. */
    record Feed(String token, Kind kind, String subject, Instant madeAt) {}

    void insert(String token, Kind kind, String subject, Instant at) {
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

    Optional<Feed> find(String token) {
        return db.sql("select * from feed where token = :token")
                .param("token", token)
                .query(Feed.class)
                .optional();
    }

    List<Feed> all() {
        return db.sql("select * from feed order by kind, made_at")
                .query(Feed.class)
                .list();
    }
}
