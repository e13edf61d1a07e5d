package galecrest.server.people;

import java.time.LocalTime;
import java.util.Locale;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class PeopleRepository {
    private final JdbcClient db;

    PeopleRepository(JdbcClient db) {
        this.db = db;
    }

    Optional<String> name(String id) {
        return db.sql("select name from person where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    int version(String id) {
        return db.sql("select version from person where id = :id")
                .param("id", id)
                .query(Integer.class)
                .single();
    }

    void insert(String id, PersonRequest form) {
        db.sql("""
                        insert into person (id, name, cost_per_hour, position)
                        values (:id, :name, :cost, (select coalesce(max(position), 0) + 1 from person))""")
                .param("id", id)
                .param("name", form.name().strip())
                .param("cost", form.costPerHour())
                .update();
        insertSkillsAndShifts(id, form);
    }

    /** False where the version is not the one that is there. */
    boolean update(String id, PersonRequest form) {
        int rows = db.sql("update person set name = :name, cost_per_hour = :cost where id = :id and version = :version")
                .param("id", id)
                .param("name", form.name().strip())
                .param("cost", form.costPerHour())
                .param("version", form.version())
                .update();
        if (rows == 0) {
            return false;
        }
        db.sql("delete from person_skill where person_id = :id").param("id", id).update();
        db.sql("delete from person_shift where person_id = :id").param("id", id).update();
        insertSkillsAndShifts(id, form);
        return true;
    }

    private void insertSkillsAndShifts(String id, PersonRequest form) {
        for (var skill : form.skills()) {
            db.sql("insert into person_skill values (:id, :skill, :level) on conflict do nothing")
                    .param("id", id)
                    .param("skill", skill.skill().strip().toLowerCase(Locale.ROOT))
                    .param("level", skill.level().name())
                    .update();
        }
        for (var shift : form.shifts()) {
            db.sql("insert into person_shift values (:id, :day, :start, :end)")
                    .param("id", id)
                    .param("day", shift.day())
                    .param("start", DayMinutes.start(shift.start()))
                    .param("end", DayMinutes.end(shift.end()))
                    .update();
        }
    }

    void delete(String id) {
        db.sql("delete from person where id = :id").param("id", id).update();
    }

    void insertShiftChange(String id, String person, ShiftChangeRequest form, LocalTime start, LocalTime end) {
        db.sql("""
                        insert into shift_change (id, person_id, kind, from_day, to_day, start_minute, end_minute, note)
                        values (:id, :person, :kind, :from, :to, :start, :end, :note)""")
                .param("id", id)
                .param("person", person)
                .param("kind", form.kind().name())
                .param("from", form.from())
                .param("to", form.to())
                .param("start", DayMinutes.start(start))
                .param("end", DayMinutes.end(end))
                .param("note", form.note())
                .update();
    }

    boolean deleteShiftChange(String person, String change) {
        return db.sql("delete from shift_change where id = :id and person_id = :person")
                        .param("id", change)
                        .param("person", person)
                        .update()
                > 0;
    }
}
