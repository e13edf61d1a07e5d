package galecrest.server.money;

import galecrest.server.NewId;
import java.math.BigDecimal;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class MoneyRepository {
    private final JdbcClient db;

    MoneyRepository(JdbcClient db) {
        this.db = db;
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
        return db.sql(
                        "select id, trim(number || ' ' || name) as name from build where put_away_at is null order by position, id")
                .query(BuildRow.class)
                .list();
    }

    /** What a build is called, one that is put away too. */
    Optional<String> name(String build) {
        return db.sql("select trim(number || ' ' || name) from build where id = :id")
                .param("id", build)
                .query(String.class)
                .optional();
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

    /** How wrong estimates were, by the first skill, of the last two thousand jobs that were finished by the clock. */
    List<EstimateAccuracy> wrong() {
        return db.sql("""
                        select p.skill, count(*)::int as jobs, sum(j.likely_minutes * n.hands) as estimated_minutes,
                            sum(k.minutes) as worked_minutes
                        from (select id from work where status = 'DONE' order by done_at desc limit 2000) w
                        join job j on j.work_id = w.id
                        join job_place p on p.work_id = w.id and p.place = 0
                        join lateral (select count(*) as hands from job_place h where h.work_id = w.id) n on true
                        join lateral (select sum(minutes) as minutes from worked h where h.work_id = w.id) k
                            on k.minutes is not null
                        group by p.skill order by p.skill""").query(EstimateAccuracy.class).list();
    }
}
