package galecrest.server.background;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.server.NewId;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * The queue of long thinking. Who thinks counts its beats; an instance takes over what another has left where the count
 * has stood still for as long as it has looked, so that no two clocks are compared.
 */
@Repository
class ThoughtRepository {
    /** Notices of progress go here, with the id. */
    static final String CHANNEL = "galecrest_thought";
    /** An instance that has not been heard of for so long has died. */
    private static final long SILENT_NANOS = 4_000_000_000L;
    /** Old thinking is forgotten after so long. */
    private static final Duration FORGOTTEN = Duration.ofDays(2);
    /** So often odds are tried that ended without a result. */
    private static final int MOST_TRIES = 5;

    /** For so many seconds a better plan is looked for first. */
    static final int FIRST_LOOK = 3;
    /** For so long a better plan is looked for, one after the other, while the record rests. */
    private static final List<Integer> OFFER_SECONDS = List.of(FIRST_LOOK, 10, 60);

    private final JdbcClient db;
    private final ObjectMapper json;
    private final Clock clock;
    /** How far others were when this instance first saw them there, and when that was. */
    private final Map<String, Heard> heard = new HashMap<>();

    private record Heard(long beats, long since) {}

    ThoughtRepository(JdbcClient db, ObjectMapper json, Clock clock) {
        this.db = db;
        this.json = json;
        this.clock = clock;
    }

    String ask(Thought.Kind kind, String subject, long change, int seconds, String by) {
        String id = NewId.next();
        db.sql("""
                        insert into analysis (id, kind, subject, change_id, seconds, asked_by, asked_at)
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

    /**
     * Asks for the odds of the record as it is, unless that was asked already; older questions are dropped. Odds that were
     * stopped or failed are asked for again, a few times.
     */
    void askChance() {
        long change = db.sql("select coalesce(max(id), 0) from change")
                .query(Long.class)
                .single();
        int again =
                db.sql("""
                        update analysis set state = 'WAITING', stop = false, worker = null
                        where kind = 'CHANCE' and change_id = :change and state in ('STOPPED', 'FAILED') and tries < :most""").param("change", change).param("most", MOST_TRIES).update();
        boolean known = again > 0
                || db.sql("select exists (select 1 from analysis where kind = 'CHANCE' and change_id >= :change)")
                        .param("change", change)
                        .query(Boolean.class)
                        .single();
        if (!known) {
            db.sql("update analysis set state = 'STOPPED' where kind = 'CHANCE' and state = 'WAITING'")
                    .update();
            ask(Thought.Kind.CHANCE, "", change, 0, "Galecrest");
        }
    }

    /**
     * Asks for a better plan than that of the record as it is: soon for a short while, then longer; where the longest look
     * has found nothing, the record must change first.
     */
    void askOffer() {
        long change = db.sql("select coalesce(max(id), 0) from change")
                .query(Long.class)
                .single();
        db.sql("""
                        update analysis set state = 'WAITING', stop = false, worker = null
                        where kind = 'OFFER' and change_id = :change and state in ('STOPPED', 'FAILED') and tries < :most""").param("change", change).param("most", MOST_TRIES).update();
        int last = db.sql("select coalesce(max(seconds), 0) from analysis where kind = 'OFFER' and change_id = :change")
                .param("change", change)
                .query(Integer.class)
                .single();
        boolean busy = db.sql("select exists (select 1 from analysis where state in ('WAITING', 'RUNNING'))")
                .query(Boolean.class)
                .single();
        if (!busy) {
            OFFER_SECONDS.stream()
                    .filter(seconds -> seconds > last)
                    .findFirst()
                    .ifPresent(seconds -> ask(Thought.Kind.OFFER, "", change, seconds, "Galecrest"));
        }
    }

    /** Whether there is an answer that somebody waits for, or odds to come; then what nobody asked for makes room. */
    boolean somebodyWaits() {
        return db.sql(
                        "select exists (select 1 from analysis where state in ('WAITING', 'RUNNING') and kind <> 'OFFER')")
                .query(Boolean.class)
                .single();
    }

    /** Takes the next question that waits, or that an instance now silent has left; what people wait for goes first. */
    Optional<Thought> claim(String worker) {
        Map<String, Long> silent = silent();
        Optional<Thought> claimed = db.sql("""
                        update analysis set state = 'RUNNING', worker = :worker, beats = beats + 1, tries = tries + 1
                        where id = (
                            select id from analysis
                            where state = 'WAITING' or state = 'RUNNING' and id || ' ' || beats in (:silent)
                            order by kind = 'OFFER', kind = 'HARDER', kind = 'RESCUE', asked_at
                            limit 1 for update skip locked)
                        returning *""")
                .param("worker", worker)
                .param(
                        "silent",
                        silent.isEmpty()
                                ? List.of("")
                                : silent.entrySet().stream()
                                        .map(s -> s.getKey() + " " + s.getValue())
                                        .toList())
                .query(this::row)
                .optional();
        claimed.ifPresent(t -> tell(t.id()));
        return claimed;
    }

    /** What others think about without having been heard of for too long, and how far they were. */
    private synchronized Map<String, Long> silent() {
        long now = System.nanoTime();
        Map<String, Long> running = new HashMap<>();
        db.sql("select id, beats from analysis where state = 'RUNNING'")
                .query((row, n) -> running.put(row.getString("id"), row.getLong("beats")))
                .list();
        heard.keySet().retainAll(running.keySet());
        running.forEach((id, beats) ->
                heard.merge(id, new Heard(beats, now), (old, fresh) -> old.beats() == beats ? old : fresh));
        running.keySet().removeIf(id -> now - heard.get(id).since() < SILENT_NANOS);
        return running;
    }

    /** Says that the worker is alive and how far it is; false where it shall stop or another has taken over. */
    boolean beat(String id, String worker, @Nullable Object progress) {
        boolean goOn = db.sql("""
                        update analysis set beats = beats + 1, progress = coalesce(:progress::jsonb, progress)
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

    /**
     * Ends a thought.
     *
     * @param told whether it is of what people have been told, and no draft
     */
    void end(String id, String worker, Thought.State state, @Nullable Object result, boolean told) {
        Instant now = clock.instant();
        db.sql("""
                        update analysis set state = :state, result = :result::jsonb, ended_at = :at, told = :told
                        where id = :id and worker = :worker and state = 'RUNNING'""")
                .param("id", id)
                .param("worker", worker)
                .param("state", state.name())
                .param("result", result == null ? null : text(result))
                .param("at", Timestamp.from(now))
                .param("told", told)
                .update();
        db.sql("""
                        delete from analysis where asked_at < :forgotten and id not in (
                            select id from analysis where told and state = 'DONE' order by change_id desc limit 1)""").param("forgotten", Timestamp.from(now.minus(FORGOTTEN))).update();
        tell(id);
    }

    /** Asks a running one to stop; one that waits is stopped at once. */
    boolean stop(String id) {
        int rows = db.sql("""
                        update analysis set stop = true, state = case when state = 'WAITING' then 'STOPPED' else state end
                        where id = :id and state in ('WAITING', 'RUNNING')""").param("id", id).update();
        tell(id);
        return rows > 0;
    }

    Optional<Thought> find(String id) {
        return db.sql("select * from analysis where id = :id")
                .param("id", id)
                .query(this::row)
                .optional();
    }

    /** The newest odds that are ready; only those of what people have been told, if that is asked for. */
    Optional<String> oddsId(boolean told) {
        return db.sql("""
                        select id from analysis where kind = 'CHANCE' and state = 'DONE' and (told or not :told)
                        order by change_id desc, ended_at desc limit 1""").param("told", told).query(String.class).optional();
    }

    /** What people have asked for lately, the newest first. */
    List<Thought> asked() {
        return db.sql("select * from analysis where kind not in ('CHANCE', 'OFFER') order by asked_at desc limit 8")
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
