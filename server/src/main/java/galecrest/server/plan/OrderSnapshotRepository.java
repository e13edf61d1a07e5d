package galecrest.server.plan;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.build.Zone;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.parts.PartState;
import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.Link;
import galecrest.core.work.LinkId;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.WorkId;
import galecrest.server.SqlTime;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what binds the work: builds, links, parts and pins. */
@Repository
class OrderSnapshotRepository {
    private final JdbcClient db;

    OrderSnapshotRepository(JdbcClient db) {
        this.db = db;
    }

    List<Build> builds() {
        return db.sql("select * from build where put_away_at is null order by position, id")
                .query((row, n) -> new Build(
                        new BuildId(row.getString("id")),
                        row.getString("number"),
                        row.getString("name"),
                        row.getDouble("weight"),
                        Map.of(
                                Zone.FRONT, row.getInt("limit_front"),
                                Zone.ENGINE_BAY, row.getInt("limit_engine_bay"),
                                Zone.COCKPIT, row.getInt("limit_cockpit"),
                                Zone.UNDERSIDE, row.getInt("limit_underside"),
                                Zone.REAR, row.getInt("limit_rear")),
                        row.getBoolean("parked")
                                ? Optional.of(
                                        new Build.Parked(Optional.ofNullable(SqlTime.instant(row, "parked_until"))))
                                : Optional.empty()))
                .list();
    }

    /** All links; also what {@code build} checks for circles. */
    public List<Link> links() {
        return db.sql("""
                        select l.* from link l join work_here f on f.id = l.first_id join work_here t on t.id = l.then_id
                        order by l.id""")
                .query((row, n) -> new Link(
                        new LinkId(row.getString("id")),
                        new WorkId(row.getString("first_id")),
                        new WorkId(row.getString("then_id")),
                        Link.Type.valueOf(row.getString("type")),
                        new Link.Lag(Minutes.of(row.getInt("lag_minutes")), row.getBoolean("lag_working")),
                        row.getBigDecimal("risk_chance") == null
                                ? Optional.empty()
                                : Optional.of(new Link.Risk(
                                        row.getDouble("risk_chance"), Minutes.of(row.getInt("risk_rework_minutes"))))))
                .list();
    }

    List<PartLine> parts() {
        return db.sql("""
                        select p.* from part p join build b on b.id = p.build_id
                        where b.put_away_at is null order by p.position, p.id""")
                .query((row, n) -> new PartLine(
                        new PartId(row.getString("id")),
                        row.getString("name"),
                        PartState.valueOf(row.getString("state")),
                        SqlTime.instant(row, "arrival_likely") == null
                                ? Optional.empty()
                                : Optional.of(SnapshotRows.arrival(row, "arrival")),
                        Minutes.of(row.getInt("inspection_minutes")),
                        Optional.ofNullable(row.getString("paired_with")).map(PartId::new),
                        Optional.ofNullable(row.getString("pair_override")),
                        Optional.ofNullable(row.getString("vendor_id")).map(VendorId::new)))
                .list();
    }

    List<Pin> pins() {
        return db.sql("select p.* from pin p join work_here w on w.id = p.work_id order by p.id")
                .query((row, n) -> pin(row))
                .list();
    }

    private static Pin pin(ResultSet row) throws SQLException {
        PinId id = new PinId(row.getString("id"));
        WorkId work = new WorkId(row.getString("work_id"));
        return switch (row.getString("kind")) {
            case "PERSON" -> new Pin.ToPerson(id, work, new PersonId(row.getString("person_id")));
            case "STATION" -> new Pin.ToStation(id, work, new StationId(row.getString("station_id")));
            case "NOT_BEFORE" -> new Pin.NotBefore(id, work, SqlTime.instant(row, "at"));
            case "AFTER" -> new Pin.After(id, work, new WorkId(row.getString("first_id")));
            default -> new Pin.Exactly(id, work, SqlTime.instant(row, "at"));
        };
    }
}
