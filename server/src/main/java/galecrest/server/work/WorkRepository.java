package galecrest.server.work;

import galecrest.core.build.Gate;
import galecrest.core.sheet.JobSpec;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import galecrest.server.problem.NotFoundException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What jobs, outwork and running-in are, in the database. */
@Repository
public class WorkRepository {
    private final JdbcClient db;

    WorkRepository(JdbcClient db) {
        this.db = db;
    }

    /** The head of a piece of work that must be there. */
    public WorkSummary mustBe(String id) {
        return db.sql("""
                        select id, build_id, name, kind, status, gate, hold_reason is not null as held, version
                        from work where id = :id""")
                .param("id", id)
                .query(WorkSummary.class)
                .optional()
                .orElseThrow(() -> new NotFoundException("job or outside work"));
    }

    /** The id of the stage of that name, of the build or of a round, which is added where there is none. */
    private @Nullable String stage(String build, @Nullable String round, @Nullable String name) {
        if (name == null || name.isBlank()) {
            return null;
        }
        Optional<String> there = db.sql("""
                        select id from stage
                        where build_id = :build and name = :name and round_id is not distinct from :round""")
                .param("build", build)
                .param("round", round)
                .param("name", name.strip())
                .query(String.class)
                .optional();
        return there.orElseGet(() -> {
            String id = NewId.next();
            db.sql("""
                            insert into stage (id, build_id, round_id, name, position)
                            values (:id, :build, :round, :name,
                                (select coalesce(max(position), 0) + 1 from stage where build_id = :build))""")
                    .param("id", id)
                    .param("build", build)
                    .param("round", round)
                    .param("name", name.strip())
                    .update();
            return id;
        });
    }

    /** The round that work is of; null where it is of none, or is only being added. */
    private @Nullable String roundOf(String work) {
        return db.sql("select s.round_id from work w join stage s on s.id = w.stage_id where w.id = :id")
                .param("id", work)
                .query((row, n) -> Optional.ofNullable(row.getString(1)))
                .optional()
                .flatMap(round -> round)
                .orElse(null);
    }

    public void insertJob(String id, JobRequest form, boolean finding) {
        insertJob(id, null, form, finding);
    }

    /** The same as part of a round. */
    public void insertJob(String id, @Nullable String round, JobRequest form, boolean finding) {
        JobSpec spec = form.spec();
        head(db.sql("""
                        insert into work (id, build_id, stage_id, kind, name, gate, essential, status, not_before, note,
                            position)
                        values (:id, :build, :stage, 'JOB', :name, :gate, :essential, 'TODO', :notBefore, :note,
                            (select coalesce(max(position), 0) + 1 from work where build_id = :build))"""), id, form.buildId(), round, form.stage(), spec.name(), spec.gate(), spec.essential())
                .param("notBefore", SqlTime.of(form.notBefore()))
                .param("note", form.note())
                .update();
        bind(db.sql("""
                                insert into job (work_id, zone, on_car, whole_car, low_minutes, likely_minutes,
                                    high_minutes, station_kind, one_go, cure_minutes, cure_lock, find_chance, find_minutes, finding)
                                values (:id, :zone, :onCar, :wholeCar, :low, :likely, :high, :station, :oneGo, :cure,
                                    :lock, :findPercent / 100.0, :findMinutes, :finding)"""), id, spec).param("finding", finding).update();
        offTheCarWhereThereIsNone(id);
        insertPlaces(id, spec);
    }

    /** Binds what every kind of work has. */
    private JdbcClient.StatementSpec head(
            JdbcClient.StatementSpec statement,
            String id,
            String build,
            @Nullable String round,
            @Nullable String stage,
            String name,
            Gate gate,
            boolean essential) {
        return statement
                .param("id", id)
                .param("build", build)
                .param("stage", stage(build, round, stage))
                .param("name", name.strip())
                .param("gate", gate.name())
                .param("essential", essential);
    }

    private static JdbcClient.StatementSpec bind(JdbcClient.StatementSpec statement, String id, JobSpec spec) {
        return statement
                .param("id", id)
                .param("zone", spec.zone().name())
                .param("onCar", spec.onCar())
                .param("wholeCar", spec.wholeCar())
                .param("low", spec.lowMinutes())
                .param("likely", spec.likelyMinutes())
                .param("high", spec.highMinutes())
                .param("station", spec.stationKind().isBlank() ? null : spec.stationKind())
                .param("oneGo", spec.oneGo())
                .param("cure", spec.cureMinutes())
                .param("lock", spec.cureLock().name())
                .param("findPercent", spec.findPercent())
                .param("findMinutes", spec.findMinutes());
    }

    /** Work of what is no car is done off the car, whatever a form or a template says. */
    private void offTheCarWhereThereIsNone(String id) {
        db.sql("""
                        update job set on_car = false, whole_car = false
                        where work_id = :id and on_car and exists (select 1 from work w join build b on b.id = w.build_id
                            where w.id = :id and b.body = 'NONE')""").param("id", id).update();
    }

    private void insertPlaces(String id, JobSpec spec) {
        for (int place = 0; place < spec.crew().size(); place++) {
            db.sql("insert into job_place values (:id, :place, :skill, :least)")
                    .param("id", id)
                    .param("place", place)
                    .param("skill", spec.crew().get(place).skill().strip().toLowerCase(java.util.Locale.ROOT))
                    .param("least", spec.crew().get(place).least().name())
                    .update();
        }
    }

    /** False where the version is not the one that is there. */
    public boolean updateJob(String id, JobRequest form) {
        JobSpec spec = form.spec();
        int rows = head(
                        db.sql("""
                        update work
                        set stage_id = :stage, name = :name, gate = :gate, essential = :essential,
                            not_before = :notBefore, note = :note
                        where id = :id and version = :version"""),
                        id,
                        form.buildId(),
                        roundOf(id),
                        form.stage(),
                        spec.name(),
                        spec.gate(),
                        spec.essential())
                .param("version", form.version())
                .param("notBefore", SqlTime.of(form.notBefore()))
                .param("note", form.note())
                .update();
        if (rows == 0) {
            return false;
        }
        bind(db.sql("""
                                update job
                                set zone = :zone, on_car = :onCar, whole_car = :wholeCar, low_minutes = :low,
                                    likely_minutes = :likely, high_minutes = :high, station_kind = :station,
                                    one_go = :oneGo, cure_minutes = :cure, cure_lock = :lock,
                                    find_chance = :findPercent / 100.0, find_minutes = :findMinutes
                                where work_id = :id"""), id, spec).update();
        offTheCarWhereThereIsNone(id);
        db.sql("delete from job_place where work_id = :id").param("id", id).update();
        insertPlaces(id, spec);
        return true;
    }

    public JobRow job(String id) {
        return db.sql("""
                        select w.name, coalesce(s.name, '') as stage, j.zone, j.low_minutes, j.likely_minutes,
                            j.high_minutes, w.gate, w.essential, w.note
                        from work w join job j on j.work_id = w.id left join stage s on s.id = w.stage_id
                        where w.id = :id""").param("id", id).query(JobRow.class).single();
    }

    void insertOutwork(String id, OutworkRequest form) {
        insertOutwork(id, null, form);
    }

    /** The same as part of a round. */
    public void insertOutwork(String id, @Nullable String round, OutworkRequest form) {
        head(db.sql("""
                        insert into work (id, build_id, stage_id, kind, name, gate, essential, status, not_before,
                            position)
                        values (:id, :build, :stage, 'OUTWORK', :name, :gate, :essential, 'TODO', :notBefore,
                            (select coalesce(max(position), 0) + 1 from work where build_id = :build))"""), id, form.buildId(), round, form.stage(), form.name(), form.gate(), form.essential())
                .param("notBefore", SqlTime.of(form.notBefore()))
                .update();
        bind(db.sql("""
                                insert into outwork (work_id, vendor_id, whole_car, out_minutes, slot_from, slot_to,
                                    low_days, likely_days, high_days, back_minutes, inspection_minutes)
                                values (:id, :vendor, :wholeCar, :out, :slotFrom, :slotTo, :low, :likely, :high, :back,
                                    :inspection)"""), id, form).update();
    }

    private static JdbcClient.StatementSpec bind(JdbcClient.StatementSpec statement, String id, OutworkRequest form) {
        return statement
                .param("id", id)
                .param("vendor", form.vendorId())
                .param("wholeCar", form.wholeCar())
                .param("out", form.outMinutes())
                .param("slotFrom", SqlTime.of(form.slotFrom()))
                .param("slotTo", SqlTime.of(form.slotTo()))
                .param("low", form.lowDays())
                .param("likely", form.likelyDays())
                .param("high", form.highDays())
                .param("back", form.backMinutes())
                .param("inspection", form.inspectionMinutes());
    }

    boolean updateOutwork(String id, OutworkRequest form) {
        int rows = head(
                        db.sql("""
                        update work
                        set stage_id = :stage, name = :name, gate = :gate, essential = :essential,
                            not_before = :notBefore
                        where id = :id and version = :version"""),
                        id,
                        form.buildId(),
                        roundOf(id),
                        form.stage(),
                        form.name(),
                        form.gate(),
                        form.essential())
                .param("version", form.version())
                .param("notBefore", SqlTime.of(form.notBefore()))
                .update();
        if (rows > 0) {
            bind(db.sql("""
                                    update outwork
                                    set vendor_id = :vendor, whole_car = :wholeCar, out_minutes = :out,
                                        slot_from = :slotFrom, slot_to = :slotTo, low_days = :low,
                                        likely_days = :likely, high_days = :high, back_minutes = :back,
                                        inspection_minutes = :inspection
                                    where work_id = :id"""), id, form).update();
        }
        return rows > 0;
    }

    void insertRunningIn(String id, RunningInRequest form) {
        head(db.sql("""
                        insert into work (id, build_id, stage_id, kind, name, gate, essential, status, position)
                        values (:id, :build, :stage, 'RUNNING_IN', :name, :gate, :essential, 'TODO',
                            (select coalesce(max(position), 0) + 1 from work where build_id = :build))"""), id, form.buildId(), null, form.stage(), form.name(), form.gate(), form.essential())
                .update();
        db.sql("""
                        insert into running_in
                        values (:id, :distance, :done, :perDay, :minutes, :skill, 'ABLE', :anyWeather)""")
                .param("id", id)
                .param("distance", form.distanceKm())
                .param("done", form.doneKm())
                .param("perDay", form.perDayKm())
                .param("minutes", form.perDayMinutes())
                .param("skill", form.skill())
                .param("anyWeather", form.anyWeather())
                .update();
    }

    boolean updateRunningIn(String id, RunningInRequest form) {
        int rows = head(
                        db.sql("""
                        update work set stage_id = :stage, name = :name, gate = :gate, essential = :essential
                        where id = :id and version = :version"""),
                        id,
                        form.buildId(),
                        roundOf(id),
                        form.stage(),
                        form.name(),
                        form.gate(),
                        form.essential())
                .param("version", form.version())
                .update();
        if (rows > 0) {
            db.sql("""
                            update running_in
                            set distance_km = :distance, done_km = :done, per_day_km = :perDay,
                                per_day_minutes = :minutes, skill = :skill, any_weather = :anyWeather
                            where work_id = :id""")
                    .param("id", id)
                    .param("distance", form.distanceKm())
                    .param("done", form.doneKm())
                    .param("perDay", form.perDayKm())
                    .param("minutes", form.perDayMinutes())
                    .param("skill", form.skill())
                    .param("anyWeather", form.anyWeather())
                    .update();
        }
        return rows > 0;
    }

    boolean isBegun(String id) {
        return db.sql("select exists (select 1 from work where id = :id and status <> 'TODO')")
                .param("id", id)
                .query(Boolean.class)
                .single();
    }

    void delete(String id) {
        db.sql("delete from work where id = :id").param("id", id).update();
    }

    void asksCustomer(String id) {
        db.sql("update work set asks_customer = true where id = :id")
                .param("id", id)
                .update();
    }

    void nameForCustomer(String id, @Nullable String name) {
        db.sql("update work set customer_name = :name where id = :id")
                .param("id", id)
                .param("name", name)
                .update();
    }

    /** Stages of a build's works by work, where they have one. */
    public Map<String, String> stages(String build) {
        return texts(
                "select w.id, s.name as text from work w join stage s on s.id = w.stage_id where w.build_id = :build",
                build);
    }

    /** Notes of a build's works by work. */
    public Map<String, String> notes(String build) {
        return texts("select id, note as text from work where build_id = :build", build);
    }

    private Map<String, String> texts(String sql, String build) {
        Map<String, String> texts = new HashMap<>();
        db.sql(sql)
                .param("build", build)
                .query((row, n) -> texts.put(row.getString("id"), row.getString("text")))
                .list();
        return texts;
    }
}
