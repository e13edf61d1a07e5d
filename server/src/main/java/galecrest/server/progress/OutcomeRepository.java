package galecrest.server.progress;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What finished work leaves behind: things on the shelf, a part that was collected. Within a change that is open. */
@Repository
class OutcomeRepository {
    private final JdbcClient db;

    OutcomeRepository(JdbcClient db) {
        this.db = db;
    }

    void finished(String work) {
        db.sql("""
                        update shelf s set quantity = least(100000, s.quantity + y.quantity)
                        from job_yield y where y.work_id = :id and y.shelf_id = s.id""").param("id", work).update();
        db.sql("""
                        update part set state = 'ARRIVED'
                        where id = (select part_id from errand where work_id = :id) and state in ('ORDERED', 'SHIPPED')""").param("id", work).update();
        db.sql("delete from commitment where id = (select commitment_id from errand where work_id = :id)")
                .param("id", work)
                .update();
    }

    /** It was not finished after all: what it put on the shelf is not there, as far as it is free. */
    void reopened(String work) {
        db.sql("""
                        update shelf s
                        set quantity = greatest(s.quantity - y.quantity,
                            (select coalesce(sum(t.quantity), 0) from shelf_taken t where t.shelf_id = s.id))
                        from job_yield y where y.work_id = :id and y.shelf_id = s.id""").param("id", work).update();
    }
}
