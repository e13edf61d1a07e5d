package galecrest.server.parts;

import galecrest.core.time.DateStyle;
import galecrest.server.SqlTime;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class PartRepository {

    private final JdbcClient db;

    PartRepository(JdbcClient db) {
        this.db = db;
    }

    Optional<String> name(String id) {
        return db.sql("select name from part where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    int version(String id) {
        return db.sql("select version from part where id = :id")
                .param("id", id)
                .query(Integer.class)
                .single();
    }

    boolean isJobOf(String work, String build) {
        return db.sql("select count(*) from work where id = :work and build_id = :build and kind = 'JOB'")
                        .param("work", work)
                        .param("build", build)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** The change in words, for the journal. */
    String whatChanges(String id, PartRequest form) {
        return db.sql(
                        "select p.name, p.state, p.arrival_likely, s.zone, s.month_first, s.twelve_hours from part p, shop s where p.id = :id")
                .param("id", id)
                .query((row, n) -> {
                    String name = row.getString("name");
                    if (!row.getString("state").equals(form.state().name())) {
                        return name + " is " + form.state().label();
                    }
                    Timestamp before = row.getTimestamp("arrival_likely");
                    Instant after = form.arrivalLikely();
                    boolean moved = after != null
                            && (before == null || !before.toInstant().equals(after));
                    return moved
                            ? name + " now arrives "
                                    + new DateStyle(row.getBoolean("month_first"), row.getBoolean("twelve_hours"))
                                            .date(after.atZone(ZoneId.of(row.getString("zone"))))
                            : "changed the part " + name;
                })
                .single();
    }

    void insert(String id, PartRequest form, Instant now) {
        bind(db.sql("""
                                insert into part (id, build_id, name, state, vendor_id, price, arrival_low,
                                    arrival_likely, arrival_high, inspection_minutes, paired_with, pair_override,
                                    quantity, customer_supplied, specification, kit, tracking, ordered_at, promised_at, position)
                                values (:id, :build, :name, :state, :vendor, :price, :low, :likely, :high,
                                    :inspection, :paired, :override, :quantity, :own, :specification, :kit, :tracking,
                                    case when :state in ('ORDERED', 'SHIPPED') then cast(:now as timestamptz) end,
                                    case when :state in ('ORDERED', 'SHIPPED') then cast(:likely as timestamptz) end,
                                    (select coalesce(max(position), 0) + 1 from part))"""), id, form)
                .param("build", form.buildId())
                .param("now", Timestamp.from(now))
                .update();
        insertNeeds(id, form);
    }

    /** False where the version is not the one that is there. */
    boolean update(String id, PartRequest form) {
        int rows = bind(db.sql("""
                                update part
                                set name = :name, state = :state, vendor_id = :vendor, price = :price,
                                    arrival_low = :low, arrival_likely = :likely, arrival_high = :high,
                                    inspection_minutes = :inspection, paired_with = :paired,
                                    pair_override = :override, quantity = :quantity, customer_supplied = :own,
                                    specification = :specification, kit = :kit, tracking = :tracking
                                where id = :id and version = :version"""), id, form).param("version", form.version()).update();
        if (rows > 0) {
            db.sql("delete from part_need where part_id = :id").param("id", id).update();
            insertNeeds(id, form);
        }
        return rows > 0;
    }

    private static JdbcClient.StatementSpec bind(JdbcClient.StatementSpec statement, String id, PartRequest form) {
        return statement
                .param("id", id)
                .param("name", form.name().strip())
                .param("state", form.state().name())
                .param("vendor", form.vendorId())
                .param("price", form.price())
                .param("low", SqlTime.of(form.arrivalLow()))
                .param("likely", SqlTime.of(form.arrivalLikely()))
                .param("high", SqlTime.of(form.arrivalHigh()))
                .param("inspection", form.inspectionMinutes())
                .param("paired", form.pairedWith())
                .param("override", form.pairOverride())
                .param("quantity", form.quantity())
                .param("own", form.own())
                .param("specification", form.specification().strip())
                .param("kit", form.kit().strip())
                .param("tracking", form.tracking().strip());
    }

    private void insertNeeds(String id, PartRequest form) {
        for (String work : form.neededBy()) {
            db.sql("insert into part_need values (:part, :work) on conflict do nothing")
                    .param("part", id)
                    .param("work", work)
                    .update();
        }
    }

    boolean isBuild(String id) {
        return db.sql("select count(*) from build where id = :id")
                        .param("id", id)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    ZoneId zone() {
        return db.sql("select zone from shop")
                .query(String.class)
                .optional()
                .map(ZoneId::of)
                .orElse(ZoneId.of("UTC"));
    }

    Optional<String> vendorNamed(String name) {
        return db.sql("select id from vendor where lower(name) = lower(:name) limit 1")
                .param("name", name)
                .query(String.class)
                .optional();
    }

    Optional<String> jobNamed(String build, String name) {
        return db.sql("""
                        select id from work
                        where build_id = :build and kind = 'JOB' and lower(name) = lower(:name)
                        order by status = 'DONE', position limit 1""")
                .param("build", build)
                .param("name", name)
                .query(String.class)
                .optional();
    }

    List<PartSheetRow> rows(String build) {
        return db.sql("""
                        select p.name, p.quantity, p.state, v.name as vendor, p.price, p.arrival_likely as likely,
                            (select string_agg(w.name, '; ' order by w.position) from part_need n
                                join work w on w.id = n.work_id where n.part_id = p.id) as needed_by,
                            p.customer_supplied as own, p.kit, p.specification
                        from part p left join vendor v on v.id = p.vendor_id
                        where p.build_id = :build order by p.position, p.id""").param("build", build).query(PartSheetRow.class).list();
    }

    void delete(String id) {
        db.sql("delete from part where id = :id").param("id", id).update();
    }
}
