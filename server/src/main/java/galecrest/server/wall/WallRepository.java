package galecrest.server.wall;

import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class WallRepository {
    private final JdbcClient db;

    WallRepository(JdbcClient db) {
        this.db = db;
    }

    boolean isOpen(String hash) {
        return db.sql("select exists (select 1 from wall_link where hash = :hash and revoked_at is null)")
                .param("hash", hash)
                .query(Boolean.class)
                .single();
    }

    List<WallLinkResponse> open() {
        return db.sql("select id, made_at, made_by from wall_link where revoked_at is null order by made_at, id")
                .query(WallLinkResponse.class)
                .list();
    }

    void insert(String hash, Instant at, String by) {
        db.sql("insert into wall_link (id, hash, made_at, made_by) values (:id, :hash, :at, :by)")
                .param("id", NewId.next())
                .param("hash", hash)
                .param("at", SqlTime.of(at))
                .param("by", by)
                .update();
    }

    /** False where there is no such link, or it is revoked already. */
    boolean revoke(String id, Instant at) {
        return db.sql("update wall_link set revoked_at = :at where id = :id and revoked_at is null")
                        .param("id", id)
                        .param("at", SqlTime.of(at))
                        .update()
                > 0;
    }

    /** Builds that hold work without a car. */
    List<String> noCars() {
        return db.sql("select id from build where body = 'NONE'")
                .query(String.class)
                .list();
    }

    /** What comes in between those moments: parts on their way, and cars and things that are with others. */
    List<WallResponse.WallArrivalResponse> arrivals(Instant from, Instant to) {
        return db.sql("""
                        select p.name as what, trim(b.number || ' ' || b.name) as car, p.arrival_likely as at
                        from part p join build b on b.id = p.build_id
                        where p.state in ('ORDERED', 'SHIPPED') and p.arrival_likely >= :from and p.arrival_likely < :to
                        union all
                        select w.name, trim(b.number || ' ' || b.name), o.back_likely
                        from outwork o join work w on w.id = o.work_id join build b on b.id = w.build_id
                        where w.status <> 'DONE' and o.back_likely >= :from and o.back_likely < :to
                        order by at, what""")
                .param("from", SqlTime.of(from))
                .param("to", SqlTime.of(to))
                .query(WallResponse.WallArrivalResponse.class)
                .list();
    }
}
