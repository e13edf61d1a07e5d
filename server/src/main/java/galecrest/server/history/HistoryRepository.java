package galecrest.server.history;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class HistoryRepository {
    private final JdbcClient db;

    HistoryRepository(JdbcClient db) {
        this.db = db;
    }

    /** Builds that are put away and whose number, name or customer has the text in it, the last first. */
    List<PutAwayResponse> found(String text, int most) {
        return db.sql("""
                        select b.id, b.number, b.name, b.customer, b.discipline, b.put_away_at,
                            (select max(w.done_at) from work w where w.build_id = b.id) as finished_at,
                            (select count(*)::int from work w where w.build_id = b.id) as jobs,
                            coalesce((select sum(k.minutes) from work w join worked k on k.work_id = w.id
                                where w.build_id = b.id), 0)::bigint as minutes
                        from build b
                        where b.put_away_at is not null
                            and position(:text in lower(b.number || ' ' || b.name || ' ' || b.customer)) > 0
                        order by b.put_away_at desc, b.id
                        limit :most""")
                .param("text", text)
                .param("most", most)
                .query(PutAwayResponse.class)
                .list();
    }

    /** Builds on which nothing is left to do since before then: all work done, no date since, nothing owed or fitted for now. */
    List<String> finished(Instant before) {
        return db.sql("""
                        select b.id from build b
                        where b.put_away_at is null and not b.parked and b.body <> 'NONE'
                            and exists (select 1 from work w where w.build_id = b.id)
                            and not exists (select 1 from work w
                                where w.build_id = b.id and (w.status <> 'DONE' or w.done_at >= :before))
                            and not exists (select 1 from commitment c
                                where c.build_id = b.id and coalesce(c.back_at, c.due) >= :before)
                            and not exists (select 1 from fitted_for_now f where f.build_id = b.id and f.made_good_at is null)
                            and not exists (select 1 from part p where p.build_id = b.id
                                and p.state not in ('ACCEPTED', 'FITTED', 'FITTED_FOR_NOW', 'RETURNED'))
                            and not exists (select 1 from loan l where l.returned_at is null
                                and b.id in (l.from_build_id, l.to_build_id))
                        order by b.id""")
                .param("before", Timestamp.from(before))
                .query(String.class)
                .list();
    }

    void putAway(List<String> builds, Instant now) {
        db.sql("update build set put_away_at = :now where id in (:builds)")
                .param("now", Timestamp.from(now))
                .param("builds", builds)
                .update();
    }

    void takeOut(String build) {
        db.sql("update build set put_away_at = null where id = :id")
                .param("id", build)
                .update();
    }

    /** What a build that is put away is called. */
    Optional<String> name(String build) {
        return db.sql("select trim(number || ' ' || name) from build where id = :id and put_away_at is not null")
                .param("id", build)
                .query(String.class)
                .optional();
    }

    /** What speaks against putting a build away now. */
    Optional<String> inTheWay(String build, Instant now) {
        return db.sql("""
                        select case
                            when exists (select 1 from work w where w.build_id = b.id and w.status <> 'DONE')
                                then 'There is work left to do on it; finish it or take it off first.'
                            when exists (select 1 from commitment c where c.build_id = b.id and coalesce(c.back_at, c.due) > :now)
                                then 'It has a date ahead; take that back first.'
                            else '' end
                        from build b where b.id = :id and b.put_away_at is null""")
                .param("id", build)
                .param("now", Timestamp.from(now))
                .query(String.class)
                .optional();
    }

    /** Files work of builds that are put away, and what was done before then and nothing hangs on; how much. */
    int file(Instant before) {
        return db.sql("""
                        update work w set filed = true
                        where not w.filed and w.status = 'DONE'
                            and (w.done_at < :before or exists (select 1 from build b
                                where b.id = w.build_id and b.put_away_at is not null))
                            and not exists (select 1 from commitment_work c where c.work_id = w.id)
                            and not exists (select 1 from link l join work o on o.id = l.then_id
                                where l.first_id = w.id and o.status <> 'DONE')
                            and not exists (select 1 from link l join work o on o.id = l.first_id
                                where l.then_id = w.id and o.status <> 'DONE')""").param("before", Timestamp.from(before)).update();
    }

    /** What is filed of a build is in the plan and on the screens again. */
    void unfile(String build) {
        db.sql("update work set filed = false where build_id = :id and filed")
                .param("id", build)
                .update();
    }
}
