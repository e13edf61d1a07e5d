package galecrest.server.shop;

import galecrest.core.time.DateStyle;
import java.time.ZoneId;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What the shop and its builds are called. */
@Repository
public class NameRepository {
    private final JdbcClient db;

    NameRepository(JdbcClient db) {
        this.db = db;
    }

    /** The shop's name, or one for a shop that has not been given any. */
    public String shop() {
        return db.sql("select name from shop").query(String.class).optional().orElse("A new shop");
    }

    /** The time zone that the shop lives in. */
    public ZoneId zone() {
        return db.sql("select zone from shop")
                .query(String.class)
                .optional()
                .map(ZoneId::of)
                .orElse(ZoneId.of("UTC"));
    }

    /** How the shop writes days and times. */
    public DateStyle says() {
        return db.sql("select month_first, twelve_hours from shop")
                .query((row, n) -> new DateStyle(row.getBoolean("month_first"), row.getBoolean("twelve_hours")))
                .optional()
                .orElse(DateStyle.USUAL);
    }

    /** Number and name of a build, "61 Red Coupe"; empty where it is gone. */
    public Optional<String> build(String id) {
        return db.sql("select trim(number || ' ' || name) from build where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    /** What a build is driven in; empty where it is gone. */
    public Optional<String> discipline(String id) {
        return db.sql("select discipline from build where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }
}
