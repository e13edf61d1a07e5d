package galecrest.server.stock;

import galecrest.server.NewId;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
public class StockRepository {
    private final JdbcClient db;

    StockRepository(JdbcClient db) {
        this.db = db;
    }

    /** What is to be bought, and what was bought in the last day, grouped by where. */
    public List<SupplyResponse> run() {
        return db.sql("""
                        select id, name, quantity, bought_from, build_id, asked_by, asked_at, bought_at, bought_by
                        from supply
                        where bought_at is null or bought_at > (select max(at) from change) - interval '12 hours'
                        order by bought_from, name, id""").query(SupplyResponse.class).list();
    }

    Optional<SupplyResponse> find(String id) {
        return db.sql("select * from supply where id = :id")
                .param("id", id)
                .query(SupplyResponse.class)
                .optional();
    }

    String insert(SupplyRequest form, String by, Instant now) {
        String id = NewId.next();
        db.sql("insert into supply values (:id, :name, :quantity, :from, :build, :by, :at)")
                .param("id", id)
                .param("name", form.name().strip())
                .param("quantity", form.quantity().strip())
                .param("from", form.boughtFrom().strip())
                .param("build", form.buildId())
                .param("by", by)
                .param("at", Timestamp.from(now))
                .update();
        return id;
    }

    void bought(String id, boolean bought, String by, Instant now) {
        db.sql("update supply set bought_at = :at, bought_by = :by where id = :id")
                .param("at", bought ? Timestamp.from(now) : null)
                .param("by", bought ? by : null)
                .param("id", id)
                .update();
    }

    void delete(String id) {
        db.sql("delete from supply where id = :id").param("id", id).update();
    }

    public List<ShelfView> shelf() {
        return db.sql("""
                        select s.id, s.name, s.place, s.quantity, coalesce(sum(t.quantity), 0)::int as reserved, s.least,
                            s.vendor_id, s.version
                        from shelf s left join shelf_taken t on t.shelf_id = s.id
                        group by s.id order by s.name, s.id""").query(ShelfView.class).list();
    }

    void insertShelf(String id, ShelfRequest form) {
        db.sql("insert into shelf values (:id, :name, :place, :quantity, :least, :vendor)")
                .param("id", id)
                .param("name", form.name().strip())
                .param("place", form.place().strip())
                .param("quantity", form.quantity())
                .param("least", form.least())
                .param("vendor", form.vendorId())
                .update();
    }

    boolean updateShelf(String id, ShelfRequest form) {
        return db.sql("""
                        update shelf set name = :name, place = :place, quantity = :quantity, least = :least,
                            vendor_id = :vendor
                        where id = :id and version = :version""")
                        .param("id", id)
                        .param("name", form.name().strip())
                        .param("place", form.place().strip())
                        .param("quantity", form.quantity())
                        .param("least", form.least())
                        .param("vendor", form.vendorId())
                        .param("version", form.version())
                        .update()
                > 0;
    }

    Optional<YieldResponse> yieldOf(String work) {
        return db.sql("select shelf_id, quantity from job_yield where work_id = :id")
                .param("id", work)
                .query(YieldResponse.class)
                .optional();
    }

    /** The name of a job that is not done. */
    Optional<String> openJob(String work) {
        return db.sql("select name from work where id = :id and kind = 'JOB' and status <> 'DONE'")
                .param("id", work)
                .query(String.class)
                .optional();
    }

    void yields(String work, YieldRequest form) {
        db.sql("delete from job_yield where work_id = :id").param("id", work).update();
        if (form.shelfId() != null) {
            db.sql("insert into job_yield values (:id, :shelf, :quantity)")
                    .param("id", work)
                    .param("shelf", form.shelfId())
                    .param("quantity", form.quantity())
                    .update();
        }
    }

    void take(String part, String shelf, int quantity) {
        db.sql("insert into shelf_taken values (:part, :shelf, :quantity)")
                .param("part", part)
                .param("shelf", shelf)
                .param("quantity", quantity)
                .update();
        db.sql("update part set state = 'ACCEPTED', received = :quantity where id = :part")
                .param("quantity", quantity)
                .param("part", part)
                .update();
    }

    public Optional<String> takenFrom(String part) {
        return db.sql("select s.name from shelf_taken t join shelf s on s.id = t.shelf_id where t.part_id = :part")
                .param("part", part)
                .query(String.class)
                .optional();
    }
}
