package galecrest.server.purchasing;

import galecrest.server.SqlTime;
import galecrest.server.parts.PartRow;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Orders and their dates. */
@Repository
class OrderRepository {
    private final JdbcClient db;

    OrderRepository(JdbcClient db) {
        this.db = db;
    }

    void order(String part, OrderRequest form, Instant now) {
        db.sql("""
                        update part
                        set state = 'ORDERED', ordered_at = :now, promised_at = :likely, arrival_low = :low,
                            arrival_likely = :likely, arrival_high = :high, price = coalesce(:price, price),
                            override_reason = :reason
                        where id = :id""")
                .param("now", SqlTime.of(now))
                .param("low", SqlTime.of(form.low()))
                .param("likely", SqlTime.of(form.likely()))
                .param("high", SqlTime.of(form.high()))
                .param("price", form.price())
                .param("reason", blankToNull(form.overrideReason()))
                .param("id", part)
                .update();
    }

    private static @Nullable String blankToNull(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }

    /** Another part in this line: to be ordered anew, with its own sides of the joints open. */
    void instead(PartRow part, InsteadRequest form) {
        db.sql("""
                        update part
                        set name = :name, vendor_id = :vendor, price = :price, state = 'WANTED', instead_of = :was,
                            arrival_low = null, arrival_likely = null, arrival_high = null, ordered_at = null,
                            promised_at = null, override_reason = null, tracking = ''
                        where id = :id""")
                .param("name", form.name().strip())
                .param("vendor", form.vendorId())
                .param("price", form.price())
                .param("was", part.name())
                .param("id", part.id())
                .update();
        db.sql("update mate set part_side = '' where part_id = :id")
                .param("id", part.id())
                .update();
    }

    void dates(String part, Instant low, Instant likely, Instant high) {
        db.sql("update part set arrival_low = :low, arrival_likely = :likely, arrival_high = :high where id = :id")
                .param("low", SqlTime.of(low))
                .param("likely", SqlTime.of(likely))
                .param("high", SqlTime.of(high))
                .param("id", part)
                .update();
    }

    /** The new return of outwork that is away; of one that is not yet, nothing can be promised but its slot. */
    boolean back(String work, Instant low, Instant likely, Instant high) {
        return db.sql("""
                        update outwork set back_low = :low, back_likely = :likely, back_high = :high
                        where work_id = :id and away_since is not null""")
                        .param("low", SqlTime.of(low))
                        .param("likely", SqlTime.of(likely))
                        .param("high", SqlTime.of(high))
                        .param("id", work)
                        .update()
                > 0;
    }

    Optional<String> outworkName(String id) {
        return db.sql("select name from work where id = :id and kind = 'OUTWORK'")
                .param("id", id)
                .query(String.class)
                .optional();
    }
}
