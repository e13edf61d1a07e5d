package galecrest.server.progress;

import galecrest.core.time.Minutes;
import galecrest.server.NewId;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** How far work has got, in the database: begun, worked on, paused, done. */
@Repository
class ProgressRepository {
    private final JdbcClient db;

    ProgressRepository(JdbcClient db) {
        this.db = db;
    }

    /** Begun by these people, at the station where it needs one; what held it holds it no more. */
    void start(String id, Instant now, List<String> by, @Nullable String station) {
        db.sql(
                        "update work set status = 'STARTED', hold_reason = null, hold_note = null, hold_until = null where id = :id")
                .param("id", id)
                .update();
        db.sql("update job set started_at = :now, station_id = :station where work_id = :id")
                .param("id", id)
                .param("now", Timestamp.from(now))
                .param("station", station)
                .update();
        for (String person : by) {
            db.sql("insert into job_started_by values (:id, :person) on conflict do nothing")
                    .param("id", id)
                    .param("person", person)
                    .update();
        }
    }

    /** What somebody worked on it, up to that moment. */
    void worked(String work, String person, Minutes minutes, Instant at) {
        db.sql("insert into worked values (:id, :work, :person, :minutes, :at)")
                .param("id", NewId.next())
                .param("work", work)
                .param("person", person)
                .param("minutes", minutes.value())
                .param("at", Timestamp.from(at))
                .update();
    }

    /** Nobody is on it any more; so many minutes are left. */
    void pause(String id, int remaining) {
        // The version of the work goes up, though only its job is written.
        db.sql("update work set note = note where id = :id").param("id", id).update();
        db.sql("update job set remaining_minutes = :remaining where work_id = :id")
                .param("id", id)
                .param("remaining", remaining)
                .update();
        db.sql("delete from job_started_by where work_id = :id").param("id", id).update();
    }

    /** It is done. */
    void done(String id, Instant now) {
        db.sql("""
                        update work
                        set status = 'DONE', done_at = :now, hold_reason = null, hold_note = null, hold_until = null
                        where id = :id""").param("id", id).param("now", Timestamp.from(now)).update();
        db.sql("delete from job_started_by where work_id = :id").param("id", id).update();
    }
}
