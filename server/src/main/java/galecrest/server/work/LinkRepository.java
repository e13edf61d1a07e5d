package galecrest.server.work;

import galecrest.core.work.Link;
import galecrest.server.NewId;
import java.sql.Timestamp;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Links and pins in the database. */
@Repository
public class LinkRepository {
    private final JdbcClient db;

    LinkRepository(JdbcClient db) {
        this.db = db;
    }

    public void insertLink(String id, LinkRequest form) {
        db.sql("insert into link values (:id, :first, :then, :type, :lag, :working, :chance, :rework, :because)")
                .param("id", id)
                .param("first", form.firstId())
                .param("then", form.thenId())
                .param("type", form.type().name())
                .param("lag", form.lagMinutes())
                .param("working", form.lagWorking())
                .param("chance", form.riskChance())
                .param("rework", form.riskReworkMinutes())
                .param("because", form.because() == null ? "" : form.because().strip())
                .update();
    }

    void insertPlainLink(String first, String then) {
        insertLink(NewId.next(), new LinkRequest(first, then, Link.Type.FINISH_START, 0, false, null, null, null));
    }

    /** Why the first of a link goes before the other, by link, where somebody has said it. */
    public Map<String, String> reasons() {
        Map<String, String> reasons = new HashMap<>();
        db.sql("select id, because from link where because <> ''")
                .query((row, n) -> reasons.put(row.getString("id"), row.getString("because")))
                .list();
        return reasons;
    }

    boolean deleteLink(String id) {
        return db.sql("delete from link where id = :id").param("id", id).update() > 0;
    }

    void insertPin(String id, PinRequest form) {
        db.sql("insert into pin values (:id, :work, :kind, :person, :station, :first, :at)")
                .param("id", id)
                .param("work", form.workId())
                .param("kind", form.kind().name())
                .param("person", form.personId())
                .param("station", form.stationId())
                .param("first", form.firstId())
                .param("at", form.at() == null ? null : Timestamp.from(form.at()))
                .update();
    }

    /** Pins of the same kind on the same work, which a new one replaces. */
    void deletePins(String work, PinKind kind) {
        db.sql("delete from pin where work_id = :work and kind = :kind")
                .param("work", work)
                .param("kind", kind.name())
                .update();
    }

    Optional<String> pinnedWork(String pin) {
        return db.sql("select work_id from pin where id = :id")
                .param("id", pin)
                .query(String.class)
                .optional();
    }

    void deletePin(String id) {
        db.sql("delete from pin where id = :id").param("id", id).update();
    }
}
