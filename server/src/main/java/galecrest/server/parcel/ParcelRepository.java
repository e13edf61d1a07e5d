package galecrest.server.parcel;

import galecrest.server.NewId;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class ParcelRepository {
    private final JdbcClient db;

    ParcelRepository(JdbcClient db) {
        this.db = db;
    }

    private static final String ON_ITS_WAY = """
            select p.id, p.name, p.tracking, coalesce(p.ordered_at, p.promised_at - interval '5 days') as shipped,
                p.promised_at as promised,
                coalesce((
                    select said from vendor_word w where w.part_id = p.id and w.by_name = 'carrier' order by at desc limit 1), '')
                    as last_word
            from part p
            where p.state = 'SHIPPED' and p.tracking <> '' and p.promised_at is not null""";

    List<ParcelRow> onTheirWay() {
        return db.sql(ON_ITS_WAY + " order by p.id").query(ParcelRow.class).list();
    }

    /** The parcel of a part, if it is still on its way. */
    Optional<ParcelRow> onItsWay(String part) {
        return db.sql(ON_ITS_WAY + " and p.id = :part")
                .param("part", part)
                .query(ParcelRow.class)
                .optional();
    }

    void say(String part, String said, Instant now) {
        db.sql("insert into vendor_word (id, part_id, at, by_name, said) values (:id, :part, :at, 'carrier', :said)")
                .param("id", NewId.next())
                .param("part", part)
                .param("at", Timestamp.from(now))
                .param("said", said)
                .update();
    }

    void comes(String part, Instant at) {
        db.sql("update part set arrival_low = :at, arrival_likely = :at, arrival_high = :at where id = :part")
                .param("part", part)
                .param("at", Timestamp.from(at))
                .update();
    }

    /** A lost parcel has no date any more. */
    void lost(String part) {
        db.sql("update part set arrival_low = null, arrival_likely = null, arrival_high = null where id = :part")
                .param("part", part)
                .update();
    }

    void arrived(String part) {
        db.sql("update part set state = 'ARRIVED' where id = :part")
                .param("part", part)
                .update();
    }
}
