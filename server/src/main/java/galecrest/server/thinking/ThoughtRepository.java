package galecrest.server.thinking;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.server.NewId;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The queue of long thinking. Times are the database's, so that instances agree on who has gone silent. */
@Repository
class ThoughtRepository {
    /** Notices of progress go here, with the id. */
    static final String CHANNEL = "galecrest_thought";
    /** An instance that has not been heard of for so long has died. */
    private static final String SILENT = "interval '4 seconds'";
    /** Old thinking is forgotten after so many days. */
    private static final String FORGOTTEN = "interval '2 days'";

    private final JdbcClient db;
    private final ObjectMapper json;
    private final Clock clock;

    ThoughtRepository(JdbcClient db, ObjectMapper json, Clock clock) {
        this.db = db;
        this.json = json;
        this.clock = clock;
    }

    String ask(Thought.Kind kind, String subject, long change, int seconds, String by) {
        String id = NewId.next();
        db.sql("""
                        insert into thought (id, kind, subject, change_id, seconds, asked_by, asked_at)
                        values (:id, :kind, :subject, :change, :seconds, :by, :at) on conflict do nothing""")
                .param("id", id)
                .param("kind", kind.name())
                .param("subject", subject)
                .param("change", change)
                .param("seconds", seconds)
                .param("by", by)
                .param("at", Timestamp.from(clock.instant()))
                .update();
        tell(id);
        return id;
    }

    /** Asks for the odds of the record as it is, unless that was asked already; older questions are dropped. */
    void askChance() {
        long change = db.sql("select coalesce(max(id), 0) from change")
                .query(Long.class)
                .single();
        boolean known = db.sql("select exists (select 1 from thought where kind = 'CHANCE' and change_id >= :change)")
                .param("change", change)
                .query(Boolean.class)
                .single();
        if (!known) {
            db.sql("update thought set state = 'STOPPED' where kind = 'CHANCE' and state = 'WAITING'")
                    .update();
            ask(Thought.Kind.CHANCE, "", change, 0, "Galecrest");
        }
    }

    /** Takes the next question that waits, or that an instance now silent has left; what people wait for goes first. */
    Optional<Thought> claim(String worker) {
        Optional<Thought> claimed = db.sql("""
                        update thought set state = 'RUNNING', worker = :worker, beat = clock_timestamp()
                        where id = (
                            select id from thought
                            where state = 'WAITING' or state = 'RUNNING' and beat < clock_timestamp() - %s
                            order by kind = 'HARDER', kind = 'RESCUE', asked_at
                            limit 1 for update skip locked)
                        returning *""".formatted(SILENT))
                .param("worker", worker)
                .query(this::row)
                .optional();
        claimed.ifPresent(t -> tell(t.id()));
        return claimed;
    }

    /** Says that the worker is alive and how far it is; false where it shall stop or another has taken over. */
    boolean beat(String id, String worker, @Nullable Object progress) {
        boolean goOn = db.sql("""
                        update thought set beat = clock_timestamp(), progress = coalesce(:progress::jsonb, progress)
                        where id = :id and worker = :worker and state = 'RUNNING' returning not stop""")
                .param("id", id)
                .param("worker", worker)
                .param("progress", progress == null ? null : text(progress))
                .query(Boolean.class)
                .optional()
                .orElse(false);
        if (progress != null) {
            tell(id);
        }
        return goOn;
    }

    void end(String id, String worker, Thought.State state, @Nullable Object result) {
        db.sql("""
                        update thought set state = :state, result = :result::jsonb, ended_at = :at
                        where id = :id and worker = :worker and state = 'RUNNING'""")
                .param("id", id)
                .param("worker", worker)
                .param("state", state.name())
                .param("result", result == null ? null : text(result))
                .param("at", Timestamp.from(clock.instant()))
                .update();
        db.sql("delete from thought where asked_at < now() - " + FORGOTTEN).update();
        tell(id);
    }

    /** Asks a running one to stop; one that waits is stopped at once. */
    boolean stop(String id) {
        int rows = db.sql("""
                        update thought set stop = true, state = case when state = 'WAITING' then 'STOPPED' else state end
                        where id = :id and state in ('WAITING', 'RUNNING')""").param("id", id).update();
        tell(id);
        return rows > 0;
    }

    Optional<Thought> find(String id) {
        return db.sql("select * from thought where id = :id")
                .param("id", id)
                .query(this::row)
                .optional();
    }

    /** The newest odds that are ready. */
    Optional<String> oddsId() {
        return db.sql("""
                        select id from thought where kind = 'CHANCE' and state = 'DONE'
                        order by change_id desc, ended_at desc limit 1""").query(String.class).optional();
    }

    /** What people have asked for lately, the newest first. */
    List<Thought> asked() {
        return db.sql("select * from thought where kind <> 'CHANCE' order by asked_at desc limit 8")
                .query(this::row)
                .list();
    }

    private void tell(String id) {
        db.sql("select pg_notify(:channel, :id)")
                .param("channel", CHANNEL)
                .param("id", id)
                .query((row, n) -> 0)
                .list();
    }

    private String text(Object value) {
        try {
            return json.writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private Thought row(ResultSet row, int n) throws SQLException {
        Timestamp ended = row.getTimestamp("ended_at");
        return new Thought(
                row.getString("id"),
                Thought.Kind.valueOf(row.getString("kind")),
                row.getString("subject"),
                row.getLong("change_id"),
                row.getInt("seconds"),
                row.getString("asked_by"),
                row.getTimestamp("asked_at").toInstant(),
                Thought.State.valueOf(row.getString("state")),
                ended == null ? null : ended.toInstant(),
                tree(row.getString("progress")),
                tree(row.getString("result")));
    }

    private @Nullable JsonNode tree(@Nullable String text) {
        try {
            return text == null ? null : json.readTree(text);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("A thought cannot be read.", e);
        }
    }
}
