package galecrest.server.customer;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class CustomerLinkRepository {
    private final JdbcClient db;

    CustomerLinkRepository(JdbcClient db) {
        this.db = db;
    }

    /** What an open link reaches. */
    Optional<CustomerLinkRow> open(String hash, Instant now) {
        return db.sql("""
                        select build_id, money from customer_link
                        where hash = :hash and revoked_at is null and expires_at > :now""")
                .param("hash", hash)
                .param("now", Timestamp.from(now))
                .query(CustomerLinkRow.class)
                .optional();
    }

    Optional<String> build(String id) {
        return db.sql("select name from build where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void insert(String id, String hash, String build, Instant now, String by, Instant expires, boolean money) {
        db.sql("""
                        insert into customer_link (id, hash, build_id, made_at, made_by, expires_at, money)
                        values (:id, :hash, :build, :now, :by, :expires, :money)""")
                .param("id", id)
                .param("hash", hash)
                .param("build", build)
                .param("now", Timestamp.from(now))
                .param("by", by)
                .param("expires", Timestamp.from(expires))
                .param("money", money)
                .update();
    }

    boolean revoke(String id, Instant now) {
        return db.sql("update customer_link set revoked_at = :now where id = :id and revoked_at is null")
                        .param("now", Timestamp.from(now))
                        .param("id", id)
                        .update()
                > 0;
    }

    List<CustomerLinkResponse> of(String build) {
        return db.sql("""
                        select id, made_at, made_by, expires_at, revoked_at, money from customer_link
                        where build_id = :build order by made_at desc, id""")
                .param("build", build)
                .query(CustomerLinkResponse.class)
                .list();
    }

    List<CustomerStage> stages(String build) {
        return db.sql("""
                        select coalesce(s.name, 'Else') as name, count(*) filter (where w.status = 'DONE')::int as done,
                            count(*)::int as total
                        from work w left join stage s on s.id = w.stage_id where w.build_id = :build
                        group by s.id, s.name, s.position order by s.position nulls last""").param("build", build).query(CustomerStage.class).list();
    }

    /** What the customer reads of each piece of work: its name for them, else its stage; work of neither is left out. */
    Map<String, String> called(String build) {
        Map<String, String> called = new HashMap<>();
        db.sql("""
                        select w.id, coalesce(w.customer_name, s.name) as called
                        from work w left join stage s on s.id = w.stage_id left join job j on j.work_id = w.id
                        where w.build_id = :build
                            and (w.customer_name is not null or s.id is not null and not coalesce(j.finding, false))""")
                .param("build", build)
                .query((row, n) -> called.put(row.getString("id"), row.getString("called")))
                .list();
        return called;
    }

    List<String> ownParts(String build) {
        return db.sql("""
                        select name from part
                        where build_id = :build and customer_supplied and state not in ('ACCEPTED', 'FITTED', 'FITTED_FOR_NOW')
                        order by position""").param("build", build).query(String.class).list();
    }

    List<CustomerPhoto> photos(String build) {
        return db.sql("""
                        select p.id, caption, at, width, height from photo p join released_photo r on r.photo_id = p.id
                        where build_id = :build order by at desc, p.id""").param("build", build).query(CustomerPhoto.class).list();
    }

    /** Of each kind of measurement that is shown, the last sheet that counts. */
    List<CustomerMeasurement> measured(String build) {
        return db.sql("""
                        select what, value, at from (select distinct on (what) * from measurement m
                            where build_id = :build and shown
                                and not exists (select 1 from measurement c where c.corrects_id = m.id)
                            order by what, at desc, id desc) latest
                        order by at desc, id""")
                .param("build", build)
                .query(CustomerMeasurement.class)
                .list();
    }
}
