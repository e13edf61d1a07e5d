package galecrest.server.component;

import galecrest.core.build.BuildId;
import galecrest.core.component.CarUse;
import galecrest.core.component.Counter;
import galecrest.core.component.Wear;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class CarUseRepository {
    private final JdbcClient db;

    CarUseRepository(JdbcClient db) {
        this.db = db;
    }

    /** A use with who booked it. */
    record Booked(CarUse use, String byName) {}

    /** Every use of every car, the oldest first. */
    List<Booked> all() {
        return db.sql("select * from car_use order by at, id")
                .query((row, n) -> new Booked(
                        new CarUse(
                                row.getString("id"),
                                new BuildId(row.getString("build_id")),
                                row.getTimestamp("at").toInstant(),
                                new Wear(Map.of(
                                        Counter.HOURS, row.getDouble("hours"),
                                        Counter.DISTANCE, row.getDouble("km"),
                                        Counter.EVENTS, row.getDouble("events"),
                                        Counter.FIRES, row.getDouble("fires"),
                                        Counter.IMPACTS, row.getDouble("impacts"))),
                                row.getString("what"),
                                row.getBoolean("warm")),
                        row.getString("by_name")))
                .list();
    }

    /** Books a use; false where that source has been booked already. */
    boolean book(String source, CarUse use, String by) {
        return db.sql("""
                        insert into car_use (id, build_id, at, hours, km, events, fires, impacts, warm, what, source, by_name)
                        values (:id, :build, :at, :hours, :km, :events, :fires, :impacts, :warm, :what, :source, :by)
                        on conflict (source) do nothing""")
                        .param("id", NewId.next())
                        .param("build", use.build().value())
                        .param("at", SqlTime.of(use.at()))
                        .param("hours", use.wear().get(Counter.HOURS))
                        .param("km", use.wear().get(Counter.DISTANCE))
                        .param("events", use.wear().get(Counter.EVENTS))
                        .param("fires", use.wear().get(Counter.FIRES))
                        .param("impacts", use.wear().get(Counter.IMPACTS))
                        .param("warm", use.warm())
                        .param("what", use.what())
                        .param("source", source)
                        .param("by", by)
                        .update()
                > 0;
    }
}
