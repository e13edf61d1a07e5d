package galecrest.server.progress;

import galecrest.core.time.Minutes;
import galecrest.server.NewId;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Hours, rework and what is split, in the database; all within a change that is open. */
@Repository
class HappenedRepository {
    private final JdbcClient db;

    HappenedRepository(JdbcClient db) {
        this.db = db;
    }

    /** Hours of a person on a piece of work, up to that moment. */
    record WorkedRow(String id, String workId, String personId, int minutes, Instant at, boolean caughtUp) {}

    List<WorkedRow> worked(Instant from, Instant to) {
        return db.sql("""
                        select id, work_id, person_id, minutes, at, caught_up from worked
                        where at > :from and at <= :to order by at, id""")
                .param("from", Timestamp.from(from))
                .param("to", Timestamp.from(to))
                .query(WorkedRow.class)
                .list();
    }

    void caughtUp(String work, String person, int minutes, Instant at) {
        db.sql(
                        "insert into worked (id, work_id, person_id, minutes, at, caught_up) values (:id, :work, :person, :minutes, :at, true)")
                .param("id", NewId.next())
                .param("work", work)
                .param("person", person)
                .param("minutes", minutes)
                .param("at", Timestamp.from(at))
                .update();
    }

    boolean deleteWorked(String id) {
        return db.sql("delete from worked where id = :id").param("id", id).update() > 0;
    }

    boolean hasHours(String work) {
        return db.sql("select exists (select 1 from worked where work_id = :work)")
                .param("work", work)
                .query(Boolean.class)
                .single();
    }

    /** So much of the job is left; the clock of who is on it begins anew. */
    void left(String work, Minutes left, Instant now) {
        db.sql("update work set status = 'STARTED', done_at = null, done_before = false where id = :id")
                .param("id", work)
                .update();
        db.sql("update job set remaining_minutes = :left, started_at = :now where work_id = :id")
                .param("id", work)
                .param("left", left.value())
                .param("now", Timestamp.from(now))
                .update();
    }

    /** The same of a job whose clock goes on as it does. */
    void leftAsItGoesOn(String work, Minutes left) {
        db.sql("update job set remaining_minutes = :left where work_id = :id")
                .param("id", work)
                .param("left", left.value())
                .update();
    }

    /** A job takes so much longer than was thought; the worst is raised in the same proportion. */
    void raise(String work, Minutes more) {
        db.sql("""
                        update job
                        set high_minutes = ceil(high_minutes * (likely_minutes + :more) / likely_minutes::numeric),
                            likely_minutes = likely_minutes + :more
                        where work_id = :id""").param("id", work).param("more", more.value()).update();
    }

    void doneBefore(String work, Instant now) {
        db.sql("""
                        update work
                        set status = 'DONE', done_at = :now, done_before = true, hold_reason = null, hold_note = null,
                            hold_until = null
                        where id = :id""").param("id", work).param("now", Timestamp.from(now)).update();
        db.sql("delete from job_started_by where work_id = :id")
                .param("id", work)
                .update();
    }

    /** A job that is finished: with whom it was done in how long, against what was thought. */
    record FinishedRow(
            String id,
            String name,
            Instant doneAt,
            boolean doneBefore,
            int likelyMinutes,
            @Nullable Integer workedMinutes,
            @Nullable String people,
            int round) {}

    List<FinishedRow> finished(String build, int most) {
        return db.sql("""
                        select w.id, w.name, w.done_at, w.done_before,
                            j.likely_minutes * greatest(1, (select count(*) from job_place p where p.work_id = w.id))::int as likely_minutes,
                            k.minutes::int as worked_minutes, k.people,
                            1 + (select count(*) from work e
                                where w.again_of is not null and coalesce(e.again_of, e.id) = w.again_of
                                    and e.position < w.position)::int as round
                        from work w join job j on j.work_id = w.id
                        left join lateral (
                            select sum(h.minutes) as minutes, string_agg(distinct p.name, ', ' order by p.name) as people
                            from worked h left join person p on p.id = h.person_id where h.work_id = w.id) k on true
                        where w.build_id = :build and w.status = 'DONE'
                        order by w.done_at desc, w.id limit :most""")
                .param("build", build)
                .param("most", most)
                .query(FinishedRow.class)
                .list();
    }

    /** How often the work has been done before this: 1 where it never was done again. */
    int rounds(String work) {
        return db.sql("""
                        select count(*) from work w, work r
                        where r.id = :id and coalesce(w.again_of, w.id) = coalesce(r.again_of, r.id)""").param("id", work).query(Integer.class).single();
    }

    /**
     * Another job like that one on the same car, of a share of it in thousandths.
     *
     * @param again whether it does the same once more
     */
    String copy(String work, String name, String note, int likely, double share, boolean again) {
        String id = NewId.next();
        db.sql("""
                        insert into work (id, build_id, stage_id, kind, name, gate, essential, status, not_before, note,
                            date_id, after_dates, disturbs, again_of, position)
                        select :id, build_id, stage_id, kind, :name, gate, essential, 'TODO', not_before, :note,
                            date_id, after_dates, disturbs, case when :again then coalesce(again_of, id) end,
                            (select max(position) + 1 from work o where o.build_id = w.build_id)
                        from work w where w.id = :work""")
                .param("id", id)
                .param("work", work)
                .param("name", name)
                .param("note", note)
                .param("again", again)
                .update();
        db.sql("""
                        insert into job (work_id, zone, on_car, whole_car, low_minutes, likely_minutes, high_minutes,
                            station_kind, one_go, cure_minutes, cure_lock, finding)
                        select :id, zone, on_car, whole_car, least(:likely, greatest(1, round(low_minutes * :share)::int)), :likely,
                            greatest(:likely, ceil(high_minutes * :share)::int), station_kind, one_go, cure_minutes, cure_lock, false
                        from job where work_id = :work""")
                .param("id", id)
                .param("work", work)
                .param("likely", likely)
                .param("share", share)
                .update();
        db.sql("insert into job_place select :id, place, skill, least from job_place where work_id = :work")
                .param("id", id)
                .param("work", work)
                .update();
        return id;
    }

    /** Another pair of hands on a job, for anybody who can help. */
    void oneMoreHand(String work) {
        db.sql("""
                        insert into job_place
                        select :id, max(place) + 1, (select skill from job_place where work_id = :id and place = 0), 'LEARNER'
                        from job_place where work_id = :id""").param("id", work).update();
    }

    /** The rest of a job that a share was taken of. */
    void shorten(String work, int likely, double share) {
        db.sql("""
                        update job
                        set low_minutes = least(:likely, greatest(1, round(low_minutes * :share)::int)), likely_minutes = :likely,
                            high_minutes = greatest(:likely, ceil(high_minutes * :share)::int),
                            remaining_minutes = case when remaining_minutes is null then null
                                else greatest(1, round(remaining_minutes * :share)::int) end
                        where work_id = :id""")
                .param("id", work)
                .param("likely", likely)
                .param("share", share)
                .update();
        db.sql("update work set note = note where id = :id").param("id", work).update();
    }

    /** What went before or comes after a job goes before or comes after the other too. */
    void tieAlike(String work, String other, boolean before) {
        if (before) {
            db.sql("""
                            insert into link
                            select :other || '-' || id, first_id, :other, type, lag_minutes, lag_working, risk_chance, risk_rework_minutes, because
                            from link where then_id = :work""").param("work", work).param("other", other).update();
        }
        db.sql("""
                        insert into link
                        select :other || '-' || l.id, :other, l.then_id, l.type, l.lag_minutes, l.lag_working, l.risk_chance,
                            l.risk_rework_minutes, l.because
                        from link l join work w on w.id = l.then_id and w.status = 'TODO' where l.first_id = :work""").param("work", work).param("other", other).update();
    }
}
