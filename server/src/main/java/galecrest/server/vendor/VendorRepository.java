package galecrest.server.vendor;

import galecrest.server.NewId;
import galecrest.server.people.DayMinutes;
import java.sql.Timestamp;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
public class VendorRepository {
    private final JdbcClient db;

    VendorRepository(JdbcClient db) {
        this.db = db;
    }

    public Optional<String> name(String id) {
        return db.sql("select name from vendor where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    public Optional<String> named(String name) {
        return db.sql("select id from vendor where lower(name) = lower(:name) limit 1")
                .param("name", name)
                .query(String.class)
                .optional();
    }

    /** Who it is; empty where there is no such vendor, or none is said. */
    public Optional<VendorRow> known(@Nullable String id) {
        return db.sql("select id, name, phone, email from vendor where id = :id")
                .param("id", id)
                .query(VendorRow.class)
                .optional();
    }

    void insert(String id, VendorRequest form) {
        db.sql("insert into vendor (id, name, trade, phone, email) values (:id, :name, :trade, :phone, :email)")
                .param("id", id)
                .param("name", form.name().strip())
                .param("trade", form.trade())
                .param("phone", form.phone())
                .param("email", form.email().strip())
                .update();
        insertLines(id, form);
    }

    /** The first vendor of a trade. */
    public Optional<String> ofTrade(String trade) {
        return db.sql("select id from vendor where lower(trade) = lower(:trade) order by name, id limit 1")
                .param("trade", trade)
                .query(String.class)
                .optional();
    }

    /** A vendor of a trade who is still to be found, open as most are. */
    public String insertWanted(String trade) {
        String id = NewId.next();
        List<VendorHours> hours = IntStream.rangeClosed(1, 5)
                .mapToObj(day -> new VendorHours(day, LocalTime.of(8, 0), LocalTime.of(17, 0)))
                .toList();
        insert(
                id,
                new VendorRequest("Somebody for " + trade, trade, "", "", hours, List.of(), List.of(), List.of(), 0));
        return id;
    }

    boolean update(String id, VendorRequest form) {
        int rows = db.sql("""
                        update vendor set name = :name, trade = :trade, phone = :phone, email = :email
                        where id = :id and version = :version""")
                .param("id", id)
                .param("name", form.name().strip())
                .param("trade", form.trade())
                .param("phone", form.phone())
                .param("email", form.email().strip())
                .param("version", form.version())
                .update();
        if (rows > 0) {
            for (String lines : List.of("vendor_hours", "vendor_closure", "vendor_offer", "vendor_slot")) {
                db.sql("delete from " + lines + " where vendor_id = :id")
                        .param("id", id)
                        .update();
            }
            insertLines(id, form);
        }
        return rows > 0;
    }

    private void insertLines(String id, VendorRequest form) {
        for (var hours : form.hours()) {
            db.sql("insert into vendor_hours values (:id, :day, :start, :end)")
                    .param("id", id)
                    .param("day", hours.day())
                    .param("start", DayMinutes.start(hours.start()))
                    .param("end", DayMinutes.end(hours.end()))
                    .update();
        }
        for (var closure : form.closures()) {
            db.sql("insert into vendor_closure values (:id, :vendor, :from, :to, :reason)")
                    .param("id", NewId.next())
                    .param("vendor", id)
                    .param("from", closure.from())
                    .param("to", closure.to())
                    .param("reason", closure.reason())
                    .update();
        }
        for (int i = 0; i < form.offers().size(); i++) {
            var offer = form.offers().get(i);
            db.sql("insert into vendor_offer values (:id, :vendor, :what, :price, :low, :likely, :high, :position)")
                    .param("id", NewId.next())
                    .param("vendor", id)
                    .param("what", offer.what().strip())
                    .param("price", offer.price())
                    .param("low", offer.lowDays())
                    .param("likely", offer.likelyDays())
                    .param("high", offer.highDays())
                    .param("position", i)
                    .update();
        }
        for (var slot : form.slots()) {
            db.sql("insert into vendor_slot values (:id, :vendor, :from, :to, :note)")
                    .param("id", slot.id() == null ? NewId.next() : slot.id())
                    .param("vendor", id)
                    .param("from", Timestamp.from(slot.from()))
                    .param("to", Timestamp.from(slot.to()))
                    .param("note", slot.note().strip())
                    .update();
        }
    }

    /** What refers to the vendor, as a user knows it; empty where nothing does. */
    Optional<String> used(String id) {
        return db.sql("""
                        select 'Outwork still goes to this vendor; move or remove it first.' where exists (
                            select 1 from outwork where vendor_id = :id)
                        union all
                        select 'Parts still come from this vendor; change or remove them first.' where exists (
                            select 1 from part where vendor_id = :id)
                        union all
                        select 'Something on the shelf still comes from this vendor.' where exists (
                            select 1 from shelf where vendor_id = :id)
                        limit 1""").param("id", id).query(String.class).optional();
    }

    void delete(String id) {
        db.sql("delete from vendor where id = :id").param("id", id).update();
    }
}
