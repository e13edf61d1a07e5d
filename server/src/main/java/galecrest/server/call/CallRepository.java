package galecrest.server.call;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class CallRepository {
    private static final int PAST = 30;

    private final JdbcClient db;

    CallRepository(JdbcClient db) {
        this.db = db;
    }

    /** Those that are promised, the next first, then the latest that took place. */
    List<CallResponse> calls() {
        return db.sql("""
                        (select id, build_id, who, about, due, done_at, said, by_name from promised_call
                            where done_at is null order by due, id)
                        union all
                        (select id, build_id, who, about, due, done_at, said, by_name from promised_call
                            where done_at is not null order by done_at desc, id limit :past)""").param("past", PAST).query(CallResponse.class).list();
    }

    /** Whether the same was noted since then, or is promised for the same time. */
    boolean isNoted(String who, String about, String said, @Nullable Instant due, Instant since) {
        return db.sql("""
                        select exists (select 1 from promised_call where who = :who and about = :about
                            and (said = :said and done_at > :since
                                or :said = '' and done_at is null and due = :due::timestamptz))""")
                .param("who", who)
                .param("about", about)
                .param("said", said)
                .param("since", Timestamp.from(since))
                .param("due", due == null ? null : Timestamp.from(due))
                .query(Boolean.class)
                .single();
    }

    Optional<CallResponse> open(String id) {
        return db.sql("""
                        select id, build_id, who, about, due, done_at, said, by_name from promised_call
                        where id = :id and done_at is null""").param("id", id).query(CallResponse.class).optional();
    }

    void promise(String id, @Nullable String build, String who, String about, Instant due) {
        db.sql("insert into promised_call (id, build_id, who, about, due) values (:id, :build, :who, :about, :due)")
                .param("id", id)
                .param("build", build)
                .param("who", who)
                .param("about", about)
                .param("due", Timestamp.from(due))
                .update();
    }

    void done(String id, String said, String by, Instant now) {
        db.sql("update promised_call set done_at = :now, said = :said, by_name = :by where id = :id")
                .param("id", id)
                .param("said", said)
                .param("by", by)
                .param("now", Timestamp.from(now))
                .update();
    }
}
