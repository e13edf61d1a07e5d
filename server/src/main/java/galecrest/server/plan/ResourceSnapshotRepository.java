package galecrest.server.plan;

import static galecrest.server.people.DayMinutes.time;

import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.time.Span;
import galecrest.core.vendor.Offer;
import galecrest.core.vendor.OfferedSlot;
import galecrest.core.vendor.Vendor;
import galecrest.core.vendor.VendorId;
import galecrest.core.vendor.VendorRecord;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads who and what there is to plan with: people, stations, vendors. */
@Repository
class ResourceSnapshotRepository {
    private final JdbcClient db;
    private final SnapshotRows rows;

    ResourceSnapshotRepository(JdbcClient db) {
        this.db = db;
        rows = new SnapshotRows(db);
    }

    List<Person> people() {
        var shifts =
                rows.grouped("select * from person_shift order by day, start_minute", "person_id", SnapshotRows::shift);
        var changes = rows.grouped(
                "select * from shift_change order by from_day, id",
                "person_id",
                row -> new ShiftChange(
                        ShiftChange.Kind.valueOf(row.getString("kind")),
                        row.getObject("from_day", LocalDate.class),
                        row.getObject("to_day", LocalDate.class),
                        time(row.getInt("start_minute")),
                        time(row.getInt("end_minute")),
                        row.getString("note")));
        var skills = rows.grouped(
                "select * from person_skill",
                "person_id",
                row -> Map.entry(row.getString("skill"), Level.valueOf(row.getString("level"))));
        return db.sql("select * from person order by position, id")
                .query((row, n) -> {
                    String id = row.getString("id");
                    Map<String, Level> his = new LinkedHashMap<>();
                    skills.getOrDefault(id, List.of()).forEach(s -> his.put(s.getKey(), s.getValue()));
                    return new Person(
                            new PersonId(id),
                            row.getString("name"),
                            his,
                            shifts.getOrDefault(id, List.of()),
                            changes.getOrDefault(id, List.of()),
                            row.getBigDecimal("cost_per_hour"));
                })
                .list();
    }

    List<Station> stations() {
        var closures =
                rows.grouped("select * from station_closure order by from_day", "station_id", SnapshotRows::closure);
        return db.sql("select * from station order by position, id")
                .query((row, n) -> new Station(
                        new StationId(row.getString("id")),
                        row.getString("name"),
                        row.getString("kind"),
                        closures.getOrDefault(row.getString("id"), List.of())))
                .list();
    }

    List<Vendor> vendors() {
        var hours =
                rows.grouped("select * from vendor_hours order by day, start_minute", "vendor_id", SnapshotRows::shift);
        var closures =
                rows.grouped("select * from vendor_closure order by from_day", "vendor_id", SnapshotRows::closure);
        var records = records();
        var offers = rows.grouped(
                "select * from vendor_offer order by position, id",
                "vendor_id",
                row -> new Offer(
                        row.getString("what"),
                        Optional.ofNullable(row.getBigDecimal("price")),
                        row.getInt("low_days"),
                        row.getInt("likely_days"),
                        row.getInt("high_days")));
        var slots = rows.grouped(
                """
                select * from vendor_slot s where not exists (
                    select 1 from outwork o
                    where o.vendor_id = s.vendor_id and o.slot_from < s.ends_at and s.starts_at < o.slot_to)
                order by starts_at, id""",
                "vendor_id",
                row -> new OfferedSlot(
                        row.getString("id"),
                        new Span(
                                row.getTimestamp("starts_at").toInstant(),
                                row.getTimestamp("ends_at").toInstant())));
        return db.sql("select * from vendor order by name, id")
                .query((row, n) -> new Vendor(
                        new VendorId(row.getString("id")),
                        row.getString("name"),
                        row.getString("trade"),
                        row.getString("phone"),
                        hours.getOrDefault(row.getString("id"), List.of()),
                        closures.getOrDefault(row.getString("id"), List.of()),
                        Optional.ofNullable(records.get(row.getString("id"))).map(VendorRecord::new),
                        offers.getOrDefault(row.getString("id"), List.of()),
                        slots.getOrDefault(row.getString("id"), List.of())))
                .list();
    }

    /** The latest deliveries of each vendor, so many at most. */
    private Map<String, List<VendorRecord.Kept>> records() {
        return rows.grouped(
                """
                select * from (
                    select *, row_number() over (partition by vendor_id order by came_at desc, id) as latest
                    from delivery) d
                where latest <= 20 order by came_at, id""",
                "vendor_id",
                row -> new VendorRecord.Kept(
                        row.getTimestamp("promised_at").toInstant(),
                        row.getTimestamp("came_at").toInstant()));
    }
}
