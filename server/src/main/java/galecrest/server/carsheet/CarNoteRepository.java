package galecrest.server.carsheet;

import galecrest.server.SqlTime;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class CarNoteRepository {
    private final JdbcClient db;

    CarNoteRepository(JdbcClient db) {
        this.db = db;
    }

    record Row(
            String id,
            Instant at,
            String place,
            String driver,
            String felt,
            String changed,
            String byName,
            int version) {}

    /** The notes of a car in which all words are found, the newest first. */
    List<Row> of(String build, List<String> words) {
        return db.sql("""
                        select id, at, place, driver, felt, changed, by_name, version from car_note n
                        where build_id = :build and (select coalesce(bool_and(
                            position(lower(w) in lower(concat_ws(' ', place, driver, felt, changed, by_name))) > 0), true)
                            from unnest(string_to_array(:words, ' ')) w)
                        order by at desc, id desc""")
                .param("build", build)
                .param("words", String.join(" ", words))
                .query(Row.class)
                .list();
    }

    /** Who wrote a note; empty where it is gone. */
    Optional<String> writer(String id, String build) {
        return db.sql("select by_name from car_note where id = :id and build_id = :build")
                .param("id", id)
                .param("build", build)
                .query(String.class)
                .optional();
    }

    void insert(String id, String build, Instant at, CarNoteRequest form, String by) {
        bind(db.sql("""
                        insert into car_note (id, build_id, at, place, driver, felt, changed, by_name)
                        values (:id, :build, :at, :place, :driver, :felt, :changed, :by)"""), id, at, form).param("build", build).param("by", by).update();
    }

    /** False where somebody else has changed it. */
    boolean update(String id, Instant at, CarNoteRequest form) {
        return bind(db.sql("""
                                update car_note set at = :at, place = :place, driver = :driver, felt = :felt,
                                    changed = :changed
                                where id = :id and version = :version"""), id, at, form).param("version", form.version()).update() > 0;
    }

    private static JdbcClient.StatementSpec bind(
            JdbcClient.StatementSpec statement, String id, Instant at, CarNoteRequest form) {
        return statement
                .param("id", id)
                .param("at", SqlTime.of(at))
                .param("place", said(form.place()))
                .param("driver", said(form.driver()))
                .param("felt", said(form.felt()))
                .param("changed", said(form.changed()));
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    void delete(String id) {
        db.sql("delete from car_note where id = :id").param("id", id).update();
    }
}
