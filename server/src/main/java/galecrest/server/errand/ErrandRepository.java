package galecrest.server.errand;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class ErrandRepository {
    private final JdbcClient db;

    ErrandRepository(JdbcClient db) {
        this.db = db;
    }

    /** The build that errands belong to. */
    Optional<String> build(String name) {
        return db.sql("select id from build where name = :name and body = 'NONE' order by position limit 1")
                .param("name", name)
                .query(String.class)
                .optional();
    }

    List<ErrandResponse> open() {
        return db.sql("""
                        select e.work_id, e.place, e.for_build_id, e.part_id, e.by_at
                        from errand e join work w on w.id = e.work_id
                        where w.status <> 'DONE' order by e.by_at, e.work_id""").query(ErrandResponse.class).list();
    }

    /** What an open errand is called. */
    Optional<String> name(String work) {
        return db.sql(
                        "select w.name from errand e join work w on w.id = e.work_id where e.work_id = :id and w.status <> 'DONE'")
                .param("id", work)
                .query(String.class)
                .optional();
    }

    void insert(String work, ErrandRequest form, String commitment) {
        db.sql("insert into errand values (:work, :place, :build, :part, :by, :commitment)")
                .param("work", work)
                .param("place", form.place().strip())
                .param("build", form.forBuildId())
                .param("part", form.partId())
                .param("by", Timestamp.from(form.by()))
                .param("commitment", commitment)
                .update();
    }

    void move(String work, @Nullable Instant from, Instant by) {
        db.sql("update errand set by_at = :by where work_id = :id")
                .param("id", work)
                .param("by", Timestamp.from(by))
                .update();
        db.sql("update work set not_before = :from where id = :id")
                .param("id", work)
                .param("from", from == null ? null : Timestamp.from(from))
                .update();
        db.sql("update commitment set due = :by where id = (select commitment_id from errand where work_id = :id)")
                .param("id", work)
                .param("by", Timestamp.from(by))
                .update();
        partComes(work, by);
    }

    /** What it brings is expected when it is back. */
    void partComes(String work, Instant by) {
        db.sql("""
                        update part set arrival_low = :by, arrival_likely = :by, arrival_high = :by
                        where id = (select part_id from errand where work_id = :id)""").param("id", work).param("by", Timestamp.from(by)).update();
    }

    void delete(String work) {
        db.sql("delete from commitment where id = (select commitment_id from errand where work_id = :id)")
                .param("id", work)
                .update();
        db.sql("delete from work where id = :id").param("id", work).update();
    }
}
