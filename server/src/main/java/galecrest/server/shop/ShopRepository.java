package galecrest.server.shop;

import galecrest.core.shop.TieBreak;
import galecrest.server.NewId;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class ShopRepository {
    private final JdbcClient db;

    ShopRepository(JdbcClient db) {
        this.db = db;
    }

    Optional<ShopRequest> find() {
        return db.sql("select * from shop")
                .query((row, n) -> new ShopRequest(
                        row.getString("name"),
                        row.getString("zone"),
                        row.getDouble("at_risk_start"),
                        row.getDouble("told_otherwise"),
                        row.getDouble("opened_car_day"),
                        row.getDouble("finish_day"),
                        row.getInt("unknown_arrival_days"),
                        row.getInt("frozen_days"),
                        row.getInt("buffer_hours"),
                        TieBreak.valueOf(row.getString("tie_break")),
                        row.getDouble("return_wrong"),
                        row.getInt("stay_on_minutes"),
                        row.getInt("take_gain_hours"),
                        row.getInt("take_after_days"),
                        row.getBoolean("month_first"),
                        row.getBoolean("twelve_hours"),
                        row.getInt("version")))
                .optional();
    }

    /** False where the version is not the one that is there. */
    boolean save(ShopRequest form) {
        return db.sql("""
                                insert into shop (name, zone, at_risk_start, told_otherwise, opened_car_day, finish_day,
                                    unknown_arrival_days, frozen_days, buffer_hours, tie_break, return_wrong, stay_on_minutes,
                                    take_gain_hours, take_after_days, month_first, twelve_hours)
                                values (:name, :zone, :risk, :told, :bits, :finish, :days, :frozen, :buffer, :tie, :wrong, :stay,
                                    :gain, :after, :monthFirst, :twelveHours)
                                on conflict (id) do update
                                set name = :name, zone = :zone, at_risk_start = :risk, told_otherwise = :told,
                                    opened_car_day = :bits, finish_day = :finish, unknown_arrival_days = :days,
                                    frozen_days = :frozen, buffer_hours = :buffer, tie_break = :tie,
                                    return_wrong = :wrong, stay_on_minutes = :stay,
                                    take_gain_hours = :gain, take_after_days = :after,
                                    month_first = :monthFirst, twelve_hours = :twelveHours
                                where shop.version = :version""")
                        .param("name", form.name().strip())
                        .param("zone", form.zone())
                        .param("risk", form.atRiskStart())
                        .param("told", form.toldOtherwise())
                        .param("bits", form.carInBits())
                        .param("finish", form.finishDay())
                        .param("days", form.unknownArrivalDays())
                        .param("frozen", form.frozenDays())
                        .param("buffer", form.bufferHours())
                        .param("tie", form.tieBreak().name())
                        .param("wrong", form.returnWrong())
                        .param("stay", form.stayOnMinutes())
                        .param("gain", form.takeGainHours())
                        .param("after", form.takeAfterDays())
                        .param("monthFirst", form.monthFirst())
                        .param("twelveHours", form.twelveHours())
                        .param("version", form.version())
                        .update()
                > 0;
    }

    Optional<String> stationName(String id) {
        return db.sql("select name from station where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void insertStation(String id, StationRequest form) {
        db.sql("""
                        insert into station (id, name, kind, position)
                        values (:id, :name, :kind, (select coalesce(max(position), 0) + 1 from station))""")
                .param("id", id)
                .param("name", form.name().strip())
                .param("kind", form.kind().strip())
                .update();
        insertClosures(id, form);
    }

    boolean updateStation(String id, StationRequest form) {
        int rows = db.sql("update station set name = :name, kind = :kind where id = :id and version = :version")
                .param("id", id)
                .param("name", form.name().strip())
                .param("kind", form.kind().strip())
                .param("version", form.version())
                .update();
        if (rows > 0) {
            db.sql("delete from station_closure where station_id = :id")
                    .param("id", id)
                    .update();
            insertClosures(id, form);
        }
        return rows > 0;
    }

    private void insertClosures(String id, StationRequest form) {
        for (var closure : form.closures()) {
            db.sql("insert into station_closure values (:id, :station, :from, :to, :reason)")
                    .param("id", NewId.next())
                    .param("station", id)
                    .param("from", closure.from())
                    .param("to", closure.to())
                    .param("reason", closure.reason())
                    .update();
        }
    }

    void deleteStation(String id) {
        db.sql("delete from station where id = :id").param("id", id).update();
    }
}
