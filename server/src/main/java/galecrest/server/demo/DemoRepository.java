package galecrest.server.demo;

import galecrest.core.build.Gate;
import galecrest.core.work.Commitment;
import galecrest.server.NewId;
import galecrest.server.people.DayMinutes;
import java.math.BigDecimal;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Profile;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Writes the demo shop down. */
@Repository
@Profile("demo")
class DemoRepository {
    private final JdbcClient db;
    private final Clock clock;

    DemoRepository(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    boolean isEmpty() {
        return db.sql("select (select count(*) from shop) + (select count(*) from build)")
                        .query(Integer.class)
                        .single()
                == 0;
    }

    void shop(String name, ZoneId zone) {
        db.sql("""
                        insert into shop (name, zone, at_risk_start, told_otherwise, opened_car_day, finish_day,
                            unknown_arrival_days)
                        values (:name, :zone, 4, 2, 0.2, 0.1, 14)""").param("name", name).param("zone", zone.getId()).update();
    }

    /** {@code skills} as "fit:LEAD,weld:ABLE", {@code hours} as "07:30-12:00,…", Monday to Friday. */
    void person(String id, String name, String skills, String hours, int cost) {
        db.sql("""
                        insert into person (id, name, cost_per_hour, position)
                        values (:id, :name, :cost, (select count(*) from person))""").param("id", id).param("name", name).param("cost", cost).update();
        for (String skill : skills.split(",")) {
            db.sql("insert into person_skill values (:id, :skill, :level)")
                    .param("id", id)
                    .param("skill", skill.split(":")[0])
                    .param("level", skill.split(":")[1])
                    .update();
        }
        for (int day = 1; day <= 5; day++) {
            for (String stretch : hours.split(",")) {
                String[] ends = stretch.split("-");
                db.sql("insert into person_shift values (:id, :day, :start, :end)")
                        .param("id", id)
                        .param("day", day)
                        .param("start", DayMinutes.start(LocalTime.parse(ends[0])))
                        .param("end", DayMinutes.end(LocalTime.parse(ends[1])))
                        .update();
            }
        }
    }

    void leave(String person, LocalDate from, LocalDate to, String note) {
        db.sql("insert into shift_change values (:id, :person, 'LEAVE', :from, :to, 0, 1440, :note)")
                .param("id", NewId.next())
                .param("person", person)
                .param("from", from)
                .param("to", to)
                .param("note", note)
                .update();
    }

    void station(String id, String name, String kind) {
        db.sql(
                        "insert into station (id, name, kind, position) values (:id, :name, :kind, (select count(*) from station))")
                .param("id", id)
                .param("name", name)
                .param("kind", kind)
                .update();
    }

    void vendor(String id, String name, String trade, String phone, int opens, int closes) {
        db.sql("insert into vendor (id, name, trade, phone) values (:id, :name, :trade, :phone)")
                .param("id", id)
                .param("name", name)
                .param("trade", trade)
                .param("phone", phone)
                .update();
        for (int day = 1; day <= 5; day++) {
            db.sql("insert into vendor_hours values (:id, :day, :start, :end)")
                    .param("id", id)
                    .param("day", day)
                    .param("start", opens * 60)
                    .param("end", closes * 60)
                    .update();
        }
    }

    void link(String first, String then) {
        db.sql("insert into link values (:id, :first, :then, 'FINISH_START', 0, false, null, null)")
                .param("id", NewId.next())
                .param("first", first)
                .param("then", then)
                .update();
    }

    String commitment(String build, String name, Commitment.Kind kind, Instant due, Gate gate, double weight) {
        String id = NewId.next();
        db.sql("""
                        insert into commitment (id, build_id, name, kind, due, gate, weight)
                        values (:id, :build, :name, :kind, :due, :gate, :weight)""")
                .param("id", id)
                .param("build", build)
                .param("name", name)
                .param("kind", kind.name())
                .param("due", Timestamp.from(due))
                .param("gate", gate.name())
                .param("weight", weight)
                .update();
        return id;
    }

    /** The car is away for the date until then, with somebody and a station. */
    void outing(String commitment, Instant back, String person, String station) {
        db.sql("update commitment set back_at = :back where id = :id")
                .param("id", commitment)
                .param("back", Timestamp.from(back))
                .update();
        db.sql("insert into outing_person values (:id, :person)")
                .param("id", commitment)
                .param("person", person)
                .update();
        db.sql("insert into outing_station values (:id, :station)")
                .param("id", commitment)
                .param("station", station)
                .update();
    }

    /** Only this work (and what else is named) is due. */
    void due(String commitment, String work) {
        db.sql("insert into commitment_work values (:commitment, :work)")
                .param("commitment", commitment)
                .param("work", work)
                .update();
    }

    void done(String work, Instant at) {
        db.sql("update work set status = 'DONE', done_at = :at where id = :id")
                .param("id", work)
                .param("at", Timestamp.from(at))
                .update();
    }

    void started(String work, String person, @Nullable String station, Instant at) {
        db.sql("update work set status = 'STARTED' where id = :id")
                .param("id", work)
                .update();
        db.sql("update job set started_at = :at, station_id = :station where work_id = :id")
                .param("id", work)
                .param("at", Timestamp.from(at))
                .param("station", station)
                .update();
        db.sql("insert into job_started_by values (:id, :person)")
                .param("id", work)
                .param("person", person)
                .update();
    }

    void hold(String work, String reason, String note, Instant until) {
        db.sql("update work set hold_reason = :reason, hold_note = :note, hold_until = :until where id = :id")
                .param("id", work)
                .param("reason", reason)
                .param("note", note)
                .param("until", Timestamp.from(until))
                .update();
    }

    /** The brackets of a truck can be welded on the floor outside, without a bay. */
    void weldOutside(String work) {
        db.sql("update job set station_kind = null where work_id = :id")
                .param("id", work)
                .update();
    }

    String part(
            String build,
            String name,
            String state,
            String supplier,
            String price,
            @Nullable Instant arrives,
            int inspection) {
        String id = NewId.next();
        Timestamp likely = arrives == null ? null : Timestamp.from(arrives);
        db.sql("""
                        insert into part (id, build_id, name, state, vendor_id, price, arrival_low, arrival_likely,
                            arrival_high, inspection_minutes, ordered_at, promised_at, position)
                        values (:id, :build, :name, :state, :vendor, :price, :low, :likely, :high, :inspection,
                            case when :state <> 'WANTED' then cast(:ordered as timestamptz) end,
                            case when :state <> 'WANTED' then cast(:likely as timestamptz) end, (select count(*) from part))""")
                .param("id", id)
                .param("build", build)
                .param("name", name)
                .param("state", state)
                .param("vendor", supplier(supplier))
                .param("ordered", Timestamp.from(clock.instant().minus(9, ChronoUnit.DAYS)))
                .param("price", new BigDecimal(price))
                .param("low", arrives == null ? null : Timestamp.from(arrives.minus(1, ChronoUnit.DAYS)))
                .param("likely", likely)
                .param("high", arrives == null ? null : Timestamp.from(arrives.plus(3, ChronoUnit.DAYS)))
                .param("inspection", inspection)
                .update();
        return id;
    }

    /** The vendor of that name, noted where it is new. */
    private String supplier(String name) {
        return db.sql("select id from vendor where name = :name")
                .param("name", name)
                .query(String.class)
                .optional()
                .orElseGet(() -> {
                    String id = NewId.next();
                    vendor(id, name, "parts", "555 0" + (110 + name.length()), 8, 17);
                    return id;
                });
    }

    void needs(String part, String work) {
        db.sql("insert into part_need values (:part, :work)")
                .param("part", part)
                .param("work", work)
                .update();
    }

    void pair(String one, String other) {
        db.sql("update part set paired_with = :other where id = :one")
                .param("one", one)
                .param("other", other)
                .update();
        db.sql("update part set paired_with = :one where id = :other")
                .param("one", one)
                .param("other", other)
                .update();
    }

    String outwork(
            String build,
            String name,
            String vendor,
            boolean wholeCar,
            int out,
            int low,
            int likely,
            int high,
            int back,
            int inspection,
            Gate gate) {
        String id = work(build, "OUTWORK", name, gate);
        db.sql("""
                        insert into outwork (work_id, vendor_id, whole_car, out_minutes, low_days, likely_days,
                            high_days, back_minutes, inspection_minutes)
                        values (:id, :vendor, :whole, :out, :low, :likely, :high, :back, :inspection)""")
                .param("id", id)
                .param("vendor", vendor)
                .param("whole", wholeCar)
                .param("out", out)
                .param("low", low)
                .param("likely", likely)
                .param("high", high)
                .param("back", back)
                .param("inspection", inspection)
                .update();
        return id;
    }

    /** Books a time for outside work. */
    void booked(String outwork, Instant from, Instant to) {
        db.sql("update outwork set slot_from = :from, slot_to = :to where work_id = :id")
                .param("from", Timestamp.from(from))
                .param("to", Timestamp.from(to))
                .param("id", outwork)
                .update();
    }

    private String work(String build, String kind, String name, Gate gate) {
        String id = NewId.next();
        db.sql("""
                        insert into work (id, build_id, kind, name, gate, essential, status, position)
                        values (:id, :build, :kind, :name, :gate, true, 'TODO',
                            (select count(*) from work where build_id = :build))""")
                .param("id", id)
                .param("build", build)
                .param("kind", kind)
                .param("name", name)
                .param("gate", gate.name())
                .update();
        return id;
    }

    void away(String outwork, Instant since, Instant back) {
        db.sql("update work set status = 'STARTED' where id = :id")
                .param("id", outwork)
                .update();
        db.sql("""
                        update outwork set away_since = :since, back_low = :low, back_likely = :likely, back_high = :high
                        where work_id = :id""")
                .param("id", outwork)
                .param("since", Timestamp.from(since))
                .param("low", Timestamp.from(back.minus(4, ChronoUnit.HOURS)))
                .param("likely", Timestamp.from(back))
                .param("high", Timestamp.from(back.plus(2, ChronoUnit.DAYS)))
                .update();
    }

    String runningIn(String build, String name, int km, int perDay, int minutes, Gate gate) {
        String id = work(build, "RUNNING_IN", name, gate);
        db.sql("insert into running_in values (:id, :km, 0, :perDay, :minutes, 'drive', 'ABLE', false)")
                .param("id", id)
                .param("km", km)
                .param("perDay", perDay)
                .param("minutes", minutes)
                .update();
        return id;
    }

    String finding(String build, String name, String zone, String skill, int likely, Gate gate) {
        String id = work(build, "JOB", name, gate);
        db.sql("""
                        insert into job (work_id, zone, on_car, whole_car, low_minutes, likely_minutes, high_minutes,
                            one_go, cure_minutes, cure_lock, finding)
                        values (:id, :zone, true, false, :low, :likely, :high, false, 0, 'NOTHING', true)""")
                .param("id", id)
                .param("zone", zone)
                .param("low", likely / 2)
                .param("likely", likely)
                .param("high", likely * 2)
                .update();
        db.sql("insert into job_place values (:id, 0, :skill, 'ABLE')")
                .param("id", id)
                .param("skill", skill)
                .update();
        return id;
    }

    /** A job off the car of what is no car. */
    String ownJob(String build, String name, String skill, int likely) {
        String id = finding(build, name, "COCKPIT", skill, likely, Gate.EVENT);
        db.sql("update job set finding = false, on_car = false where work_id = :id")
                .param("id", id)
                .update();
        return id;
    }

    /** Holds a finding until the customer says yes; it may also wait for another time. */
    void asksCustomer(String work, String theirName) {
        db.sql("""
                        update work
                        set asks_customer = true, customer_name = :name, essential = false, hold_reason = 'DECIDE',
                            hold_note = 'the customer''s yes, over the house limit'
                        where id = :id""").param("id", work).param("name", theirName).update();
    }

    void forNow(String build, String what, String reason, Gate gate) {
        db.sql(
                        "insert into fitted_for_now (id, build_id, what, reason, gate, at) values (:id, :build, :what, :reason, :gate, :now)")
                .param("now", Timestamp.from(clock.instant()))
                .param("id", NewId.next())
                .param("build", build)
                .param("what", what)
                .param("reason", reason)
                .param("gate", gate.name())
                .update();
    }

    void call(String build, String who, String about, Instant due) {
        db.sql("insert into promised_call (id, build_id, who, about, due) values (:id, :build, :who, :about, :due)")
                .param("id", NewId.next())
                .param("build", build)
                .param("who", who)
                .param("about", about)
                .param("due", Timestamp.from(due))
                .update();
    }
}
