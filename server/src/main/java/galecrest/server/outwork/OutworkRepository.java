package galecrest.server.outwork;

import galecrest.core.time.Span;
import galecrest.server.outwork.sheet.LineRow;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
public class OutworkRepository {
    private final JdbcClient db;

    OutworkRepository(JdbcClient db) {
        this.db = db;
    }

    Optional<OutworkRow> find(String id) {
        return db.sql("""
                        select w.id, w.build_id, w.name, w.status, w.gate, o.vendor_id, v.trade, o.specification, o.driver,
                            o.trailer, o.price, o.promised_back
                        from work w join outwork o on o.work_id = w.id join vendor v on v.id = o.vendor_id
                        where w.id = :id""").param("id", id).query(OutworkRow.class).optional();
    }

    Map<String, CheckRow> checks(String work, CheckSide side) {
        Map<String, CheckRow> checks = new HashMap<>();
        db.sql("select side, item, answer, done, by_name, at from outwork_check where work_id = :work and side = :side")
                .param("work", work)
                .param("side", side.name())
                .query(CheckRow.class)
                .list()
                .forEach(c -> checks.put(c.item(), c));
        return checks;
    }

    void check(String work, CheckRequest form, String by, Instant now) {
        db.sql("""
                        insert into outwork_check values (:work, :side, :item, :answer, :done, :by, :at)
                        on conflict (work_id, side, item) do update
                        set answer = :answer, done = :done, by_name = :by, at = :at""")
                .param("work", work)
                .param("side", form.side().name())
                .param("item", form.item())
                .param("answer", form.answer().strip())
                .param("done", form.done())
                .param("by", by)
                .param("at", Timestamp.from(now))
                .update();
    }

    public void change(String work, OutworkSheetRequest form) {
        db.sql("""
                        update outwork set specification = :specification, driver = :driver, trailer = :trailer,
                            price = :price where work_id = :work""")
                .param("specification", form.specification().strip())
                .param("driver", form.driver().strip())
                .param("trailer", form.trailer())
                .param("price", form.price())
                .param("work", work)
                .update();
    }

    /** Books a time, or none. */
    void book(String work, @Nullable Span slot) {
        db.sql("update outwork set slot_from = :from, slot_to = :to where work_id = :work")
                .param("from", slot == null ? null : Timestamp.from(slot.from()))
                .param("to", slot == null ? null : Timestamp.from(slot.to()))
                .param("work", work)
                .update();
    }

    /** It leaves; what was promised then is kept, later words do not change it. */
    void send(String work, Instant now, Instant low, Instant likely, Instant high) {
        db.sql("""
                        update work set status = 'STARTED', hold_reason = null, hold_note = null, hold_until = null
                        where id = :work""").param("work", work).update();
        db.sql("""
                        update outwork
                        set away_since = :now, back_low = :low, back_likely = :likely, back_high = :high,
                            promised_back = :likely
                        where work_id = :work""")
                .param("work", work)
                .param("now", Timestamp.from(now))
                .param("low", Timestamp.from(low))
                .param("likely", Timestamp.from(likely))
                .param("high", Timestamp.from(high))
                .update();
    }

    public List<LineRow> ofBuild(String build) {
        return db.sql("""
                        select w.name, v.name as vendor, o.whole_car, w.gate, o.slot_from, o.slot_to, o.low_days,
                            o.likely_days, o.high_days, o.out_minutes, o.back_minutes, o.inspection_minutes, o.price,
                            o.driver, o.trailer, o.specification
                        from work w join outwork o on o.work_id = w.id join vendor v on v.id = o.vendor_id
                        where w.build_id = :build order by w.position, w.id""").param("build", build).query(LineRow.class).list();
    }

    /** The zone of the shop that has the build; empty where there is no such build. */
    public Optional<String> zoneOf(String build) {
        return db.sql("select s.zone from build b, shop s where b.id = :build")
                .param("build", build)
                .query(String.class)
                .optional();
    }

    List<String> openJobs(String build) {
        return db.sql("select lower(name) from work where build_id = :build and kind = 'JOB' and status <> 'DONE'")
                .param("build", build)
                .query(String.class)
                .list();
    }
}
