package galecrest.server.outwork;

import galecrest.server.NewId;
import galecrest.server.people.DayMinutes;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class VendorRepository {
    private final JdbcClient db;

    VendorRepository(JdbcClient db) {
        this.db = db;
    }

    Optional<String> name(String id) {
        return db.sql("select name from vendor where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void insert(String id, VendorController.VendorForm form) {
        db.sql("insert into vendor (id, name, trade, phone, email) values (:id, :name, :trade, :phone, :email)")
                .param("id", id)
                .param("name", form.name().strip())
                .param("trade", form.trade())
                .param("phone", form.phone())
                .param("email", form.email().strip())
                .update();
        insertHours(id, form);
    }

    boolean update(String id, VendorController.VendorForm form) {
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
            db.sql("delete from vendor_hours where vendor_id = :id")
                    .param("id", id)
                    .update();
            db.sql("delete from vendor_closure where vendor_id = :id")
                    .param("id", id)
                    .update();
            insertHours(id, form);
        }
        return rows > 0;
    }

    private void insertHours(String id, VendorController.VendorForm form) {
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
    }

    void delete(String id) {
        db.sql("delete from vendor where id = :id").param("id", id).update();
    }
}
