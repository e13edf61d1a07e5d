package galecrest.server.work;

import galecrest.core.build.Gate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Which date of its car a piece of work is for. */
@Repository
class WorkDateRepository {
    private final JdbcClient db;

    WorkDateRepository(JdbcClient db) {
        this.db = db;
    }

    /** Which date the work is for; null for the next whose gate it serves. */
    void belongTo(String id, @Nullable String date, boolean afterDates) {
        db.sql("update work set date_id = :date, after_dates = :after, there_id = null where id = :id")
                .param("id", id)
                .param("date", date)
                .param("after", afterDates)
                .update();
    }

    /** The work is done at that date, while the car is away for it. */
    void doneThere(String id, String date) {
        db.sql("update work set date_id = null, after_dates = false, there_id = :date where id = :id")
                .param("id", id)
                .param("date", date)
                .update();
    }

    /** A date, as the work of its car must fit it; {@code away} where the car leaves the shop for it. */
    record DateOfCar(String buildId, String name, Gate gate, boolean away) {}

    Optional<DateOfCar> date(String id) {
        return db.sql("select build_id, name, gate, back_at is not null as away from commitment where id = :id")
                .param("id", id)
                .query(DateOfCar.class)
                .optional();
    }
}
