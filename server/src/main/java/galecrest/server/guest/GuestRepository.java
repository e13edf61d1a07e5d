package galecrest.server.guest;

import galecrest.server.NewId;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Guests are people without weekly hours, who can do what nobody else can: their own work. */
@Repository
class GuestRepository {
    private final JdbcClient db;

    GuestRepository(JdbcClient db) {
        this.db = db;
    }

    /** The guest whose own work has that name. */
    Optional<String> withSkill(String skill) {
        return db.sql("select person_id from person_skill where skill = :skill limit 1")
                .param("skill", skill)
                .query(String.class)
                .optional();
    }

    String insert(String name, String skill) {
        String id = NewId.next();
        db.sql("""
                        insert into person (id, name, cost_per_hour, position)
                        values (:id, :name, 0, (select coalesce(max(position), 0) + 1 from person))""").param("id", id).param("name", name).update();
        db.sql("insert into person_skill values (:id, :skill, 'LEAD')")
                .param("id", id)
                .param("skill", skill)
                .update();
        return id;
    }

    /** @param from minutes after midnight; {@code to} likewise */
    void isIn(String person, LocalDate day, int from, int to, String note) {
        db.sql("""
                        insert into shift_change (id, person_id, kind, from_day, to_day, start_minute, end_minute, note)
                        values (:id, :person, 'EXTRA', :day, :day, :from, :to, :note)""")
                .param("id", NewId.next())
                .param("person", person)
                .param("day", day)
                .param("from", from)
                .param("to", to)
                .param("note", note)
                .update();
    }

    void does(String work, String skill, boolean ourStation) {
        db.sql("delete from job_place where work_id = :work")
                .param("work", work)
                .update();
        db.sql("insert into job_place values (:work, 0, :skill, 'LEARNER')")
                .param("work", work)
                .param("skill", skill)
                .update();
        if (!ourStation) {
            db.sql("update job set station_kind = null where work_id = :work")
                    .param("work", work)
                    .update();
        }
        db.sql("update work set note = note where id = :work")
                .param("work", work)
                .update();
    }
}
