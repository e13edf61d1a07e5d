package galecrest.server.work;

import galecrest.core.work.ReasonTag;
import galecrest.server.SqlTime;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What holds work, in the database. */
@Repository
public class HoldRepository {
    private final JdbcClient db;

    HoldRepository(JdbcClient db) {
        this.db = db;
    }

    /** Holds work; for the part on the list where that is what it waits for. */
    public void hold(String id, ReasonTag reason, String note, @Nullable Instant until, @Nullable String part) {
        db.sql("""
                        update work
                        set hold_reason = :reason, hold_note = :note, hold_until = :until, hold_part_id = :part
                        where id = :id""")
                .param("id", id)
                .param("reason", reason.name())
                .param("note", note)
                .param("until", SqlTime.of(until))
                .param("part", part)
                .update();
    }

    /** Whether a finding waits for the customer's yes. */
    public boolean waitsForCustomer(String id) {
        return db.sql("select asks_customer and hold_reason is not distinct from 'DECIDE' from work where id = :id")
                .param("id", id)
                .query(Boolean.class)
                .single();
    }

    /** Ends a hold for a decision; another stays. */
    void decided(String id) {
        db.sql("""
                        update work set hold_reason = null, hold_note = null, hold_until = null
                        where id = :id and hold_reason = 'DECIDE'""").param("id", id).update();
    }

    /** False where nothing held it. */
    public boolean release(String id) {
        return db.sql("""
                                update work set hold_reason = null, hold_note = null, hold_until = null
                                where id = :id and hold_reason is not null""").param("id", id).update() > 0;
    }
}
