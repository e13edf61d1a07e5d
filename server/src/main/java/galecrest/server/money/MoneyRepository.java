package galecrest.server.money;

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
class MoneyRepository {
    private final JdbcClient db;
    private final ObjectMapper json;

    MoneyRepository(JdbcClient db, ObjectMapper json) {
        this.db = db;
        this.json = json;
    }

    RatesRow rates() {
        return db.sql("select currency, hour_rate, tax_percent from shop")
                .query(RatesRow.class)
                .optional()
                .orElse(new RatesRow("EUR", BigDecimal.ZERO, BigDecimal.ZERO));
    }

    void saveRates(RatesRequest form) {
        db.sql("update shop set currency = :currency, hour_rate = :rate, tax_percent = :tax")
                .param("currency", form.currency())
                .param("rate", form.hourRate())
                .param("tax", form.taxPercent())
                .update();
    }

    ProjectRequest project(String build) {
        return db.sql("select bought, sold from build where id = :build")
                .param("build", build)
                .query(ProjectRequest.class)
                .optional()
                .orElse(new ProjectRequest(null, null));
    }

    boolean saveProject(String build, ProjectRequest form) {
        return db.sql("update build set bought = :bought, sold = :sold where id = :build")
                        .param("build", build)
                        .param("bought", form.bought())
                        .param("sold", form.sold())
                        .update()
                > 0;
    }

    List<BuildRow> builds() {
        return db.sql("select id, trim(number || ' ' || name) as name from build order by position, id")
                .query(BuildRow.class)
                .list();
    }

    Optional<EstimateRow> estimate(String build) {
        return db.sql("select * from estimate where build_id = :build")
                .param("build", build)
                .query(EstimateRow.class)
                .optional();
    }

    void saveEstimate(String build, EstimateRequest form, BigDecimal rate, String by, Instant now) {
        db.sql("""
                        insert into estimate values (:build, :hours, :parts, :outwork, :allowance, :rate, :now, :by)
                        on conflict (build_id) do update set hours = :hours, parts = :parts, outwork = :outwork,
                            allowance_percent = :allowance, hour_rate = :rate, agreed_at = :now, by_name = :by""")
                .param("build", build)
                .param("hours", form.hours())
                .param("parts", form.parts())
                .param("outwork", form.outwork())
                .param("allowance", form.allowancePercent())
                .param("rate", rate)
                .param("now", Timestamp.from(now))
                .param("by", by)
                .update();
    }

    List<JobRow> jobs(String build) {
        return db.sql("""
                        select w.name, w.status,
                            j.likely_minutes * greatest(1, (select count(*) from job_place p where p.work_id = w.id)) as likely,
                            (select sum(minutes) from worked k where k.work_id = w.id) as worked
                        from work w join job j on j.work_id = w.id where w.build_id = :build and not w.done_before order by w.position, w.id""").param("build", build).query(JobRow.class).list();
    }

    List<PartRow> parts(String build) {
        return db.sql(
                        "select name, state, quantity, price, customer_supplied as own from part where build_id = :build order by position, id")
                .param("build", build)
                .query(PartRow.class)
                .list();
    }

    List<OutworkRow> outwork(String build) {
        return db.sql("""
                        select w.name, w.status, o.price from work w join outwork o on o.work_id = w.id
                        where w.build_id = :build order by w.position, w.id""").param("build", build).query(OutworkRow.class).list();
    }

    List<PaymentView> payments(String build) {
        return db.sql("select id, at, amount, note from payment where build_id = :build order by at, id")
                .param("build", build)
                .query(PaymentView.class)
                .list();
    }

    void pay(String build, BigDecimal amount, String note, Instant now) {
        db.sql("insert into payment values (:id, :build, :at, :amount, :note)")
                .param("id", NewId.next())
                .param("build", build)
                .param("at", Timestamp.from(now))
                .param("amount", amount)
                .param("note", note.strip())
                .update();
    }

    boolean deletePayment(String id) {
        return db.sql("delete from payment where id = :id").param("id", id).update() > 0;
    }

    List<EstimateAccuracy> wrong() {
        return db.sql("""
                        select p.skill, count(*)::int as jobs, sum(j.likely_minutes * n.hands) as estimated_minutes,
                            sum(k.minutes) as worked_minutes
                        from job j
                        join work w on w.id = j.work_id and w.status = 'DONE'
                        join job_place p on p.work_id = j.work_id and p.place = 0
                        join (select work_id, count(*) as hands from job_place group by work_id) n on n.work_id = j.work_id
                        join (select work_id, sum(minutes) as minutes from worked group by work_id) k on k.work_id = j.work_id
                        group by p.skill order by p.skill""").query(EstimateAccuracy.class).list();
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
                row.getString("decided_note"));
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
                            insert into change_order values (:id, :build, :title, :note, :hours, :skill, :gate, :parts,
                                :partsAt, :outwork, :rate, :effect::jsonb, 'OFFERED', :by, :now)""")
                    .param("id", id)
                    .param("build", build)
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
}
