package galecrest.server.changeorder;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.build.Gate;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import galecrest.server.plan.DateEffect;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class ChangeOrderRepository {
    private final JdbcClient db;
    private final ObjectMapper json;

    ChangeOrderRepository(JdbcClient db, ObjectMapper json) {
        this.db = db;
        this.json = json;
    }

    List<OrderRow> orders(String build) {
        return db.sql("select * from change_order where build_id = :build order by made_at desc, id")
                .param("build", build)
                .query(this::row)
                .list();
    }

    Optional<OrderRow> order(String id) {
        return db.sql("select * from change_order where id = :id")
                .param("id", id)
                .query(this::row)
                .optional();
    }

    private OrderRow row(ResultSet row, int n) throws SQLException {
        return new OrderRow(
                row.getString("id"),
                row.getString("build_id"),
                row.getString("title"),
                row.getString("note"),
                row.getBigDecimal("hours"),
                row.getString("skill"),
                Gate.valueOf(row.getString("gate")),
                row.getBigDecimal("parts"),
                SqlTime.instant(row, "parts_at"),
                row.getBigDecimal("outwork"),
                row.getBigDecimal("hour_rate"),
                effect(row.getString("effect")),
                Decision.valueOf(row.getString("state")),
                row.getString("made_by"),
                row.getTimestamp("made_at").toInstant(),
                row.getString("decided_by"),
                SqlTime.instant(row, "decided_at"),
                row.getString("decided_note"),
                row.getString("work_id"));
    }

    private List<DateEffect> effect(String text) {
        try {
            return json.readValue(text, new TypeReference<>() {});
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The effect of a change order cannot be read.", e);
        }
    }

    String offer(
            String build, ChangeOrderRequest form, BigDecimal rate, List<DateEffect> effect, String by, Instant now) {
        String id = NewId.next();
        try {
            db.sql("""
                            insert into change_order (id, build_id, title, note, hours, skill, gate, parts, parts_at,
                                outwork, hour_rate, effect, state, made_by, made_at, work_id)
                            values (:id, :build, :title, :note, :hours, :skill, :gate, :parts,
                                :partsAt, :outwork, :rate, :effect::jsonb, 'OFFERED', :by, :now, :work)""")
                    .param("id", id)
                    .param("build", build)
                    .param("work", form.workId())
                    .param("title", form.title().strip())
                    .param("note", form.note().strip())
                    .param("hours", form.hours())
                    .param("skill", form.skill())
                    .param("gate", form.gate().name())
                    .param("parts", form.parts())
                    .param("partsAt", form.partsAt() == null ? null : Timestamp.from(form.partsAt()))
                    .param("outwork", form.outwork())
                    .param("rate", rate)
                    .param("effect", json.writeValueAsString(effect))
                    .param("by", by)
                    .param("now", Timestamp.from(now))
                    .update();
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
        return id;
    }

    /** False where it was decided already. */
    boolean decide(String id, boolean accept, String note, String by, Instant now) {
        return db.sql("""
                        update change_order set state = :state, decided_by = :by, decided_at = :now, decided_note = :note
                        where id = :id and state = 'OFFERED'""")
                        .param("state", accept ? "ACCEPTED" : "REFUSED")
                        .param("by", by)
                        .param("now", Timestamp.from(now))
                        .param("note", note.strip())
                        .param("id", id)
                        .update()
                > 0;
    }

    /** The part line that an accepted change brings. */
    void part(String build, String name, BigDecimal price, @Nullable Instant at, String work) {
        String id = NewId.next();
        Timestamp when = at == null ? null : Timestamp.from(at);
        db.sql("""
                        insert into part (id, build_id, name, state, price, arrival_low, arrival_likely, arrival_high,
                            inspection_minutes, position)
                        values (:id, :build, :name, 'WANTED', :price, :at, :at, :at, 15,
                            (select coalesce(max(position), 0) + 1 from part))""")
                .param("id", id)
                .param("build", build)
                .param("name", name)
                .param("price", price)
                .param("at", when)
                .update();
        db.sql("insert into part_need values (:part, :work)")
                .param("part", id)
                .param("work", work)
                .update();
    }

    /** A finding of that car that waits for the customer and was not put to them. */
    Optional<String> waiting(String build, String work) {
        return db.sql("""
                        select w.name from work w join job j on j.work_id = w.id
                        where w.id = :work and w.build_id = :build and j.finding and w.status = 'TODO'
                            and not exists (select 1 from change_order c where c.work_id = w.id and c.state = 'OFFERED')""")
                .param("work", work)
                .param("build", build)
                .query(String.class)
                .optional();
    }

    /** Findings that wait for a customer's yes, each with the last that was asked about it. */
    List<AskedFinding> findings() {
        return db.sql("""
                        select w.id as work_id, w.build_id, w.name, j.likely_minutes as minutes,
                            (select count(*) from job_place p where p.work_id = w.id)::int as hands,
                            (select p.skill from job_place p where p.work_id = w.id order by p.place limit 1) as skill,
                            w.gate, c.title, c.state, coalesce(c.decided_at, c.made_at) as at, c.decided_note
                        from work w join job j on j.work_id = w.id
                        left join lateral (select * from change_order o where o.work_id = w.id
                            order by o.made_at desc, o.id desc limit 1) c on true
                        where j.finding and w.status = 'TODO' and w.hold_reason = 'DECIDE'
                            and (w.asks_customer or c.id is not null)
                        order by c.state nulls first, w.build_id, w.position, w.id""")
                .query((row, n) -> new AskedFinding(
                        row.getString("work_id"),
                        row.getString("build_id"),
                        row.getString("name"),
                        row.getInt("minutes"),
                        row.getInt("hands"),
                        row.getString("skill"),
                        Gate.valueOf(row.getString("gate")),
                        row.getString("title"),
                        row.getString("state") == null ? null : Decision.valueOf(row.getString("state")),
                        SqlTime.instant(row, "at"),
                        row.getString("decided_note")))
                .list();
    }

    /** The finding is no longer for the customer to decide. */
    void settled(String work) {
        db.sql("update work set asks_customer = false where id = :id")
                .param("id", work)
                .update();
    }
}
