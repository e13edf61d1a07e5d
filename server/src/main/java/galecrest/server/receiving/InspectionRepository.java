package galecrest.server.receiving;

import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Deliveries looked over. */
@Repository
public class InspectionRepository {
    private final JdbcClient db;

    InspectionRepository(JdbcClient db) {
        this.db = db;
    }

    void inspection(String part, InspectionRequest form, String by, Instant now) {
        db.sql("""
                        insert into inspection values (:id, :part, :at, :by, :counted, :variant, :sizes, :damage, :photo,
                            :accepted, :reason)""")
                .param("id", NewId.next())
                .param("part", part)
                .param("at", SqlTime.of(now))
                .param("by", by)
                .param("counted", form.counted())
                .param("variant", form.rightVariant())
                .param("sizes", form.sizes().strip())
                .param("damage", form.damage().strip())
                .param("photo", form.photoId())
                .param("accepted", form.accepted())
                .param("reason", form.reason().strip())
                .update();
    }

    public List<InspectionView> inspections(String part) {
        return db.sql("""
                        select at, by_name as by, counted, right_variant, sizes, damage, photo_id, accepted, reason
                        from inspection where part_id = :part order by at desc, id""").param("part", part).query(InspectionView.class).list();
    }
}
