package galecrest.server.vendor;

import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** How vendors kept their word: for each delivery, when it was promised and when it came. */
@Repository
public class DeliveryRepository {
    private final JdbcClient db;

    DeliveryRepository(JdbcClient db) {
        this.db = db;
    }

    /** A part, or all of a line, came and was accepted. */
    public void part(String vendor, String what, Instant promised, Instant came) {
        db.sql("insert into delivery values (:id, :vendor, :what, :promised, :came)")
                .param("id", NewId.next())
                .param("vendor", vendor)
                .param("what", what)
                .param("promised", SqlTime.of(promised))
                .param("came", SqlTime.of(came))
                .update();
    }

    /** Outside work is back for good; nothing is noted of one that was promised for no day, or is done already. */
    public void outwork(String work, Instant came) {
        db.sql("""
                        insert into delivery
                        select :delivery, o.vendor_id, w.name, o.promised_back, :came
                        from work w join outwork o on o.work_id = w.id and o.promised_back is not null
                        where w.id = :id and w.status <> 'DONE'""")
                .param("delivery", NewId.next())
                .param("came", SqlTime.of(came))
                .param("id", work)
                .update();
    }
}
