package galecrest.server.plan;

import static galecrest.server.people.DayMinutes.time;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.parts.PartState;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.people.WorkedTime;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.HouseRules;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.shop.TieBreak;
import galecrest.core.time.Arrival;
import galecrest.core.time.Closure;
import galecrest.core.time.Minutes;
import galecrest.core.time.Shift;
import galecrest.core.time.Span;
import galecrest.core.vendor.Offer;
import galecrest.core.vendor.OfferedSlot;
import galecrest.core.vendor.Vendor;
import galecrest.core.vendor.VendorId;
import galecrest.core.vendor.VendorRecord;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Estimate;
import galecrest.core.work.Findings;
import galecrest.core.work.Hold;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.LinkId;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.SqlTime;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what the planner plans with, set by set. */
@Repository
public class SnapshotRepository {
    /** Build by build, so that a plan does not hang on what ids happen to be. */
    private static final String IN_ORDER = " join build b on b.id = w.build_id order by b.position, w.position, w.id";

    private final JdbcClient db;
    private final PublishedRepository published;

    SnapshotRepository(JdbcClient db, PublishedRepository published) {
        this.db = db;
        this.published = published;
    }

    ShopSnapshot snapshot(Instant now) {
        List<Work> works = new ArrayList<>();
        record Shop(ZoneId zone, HouseRules rules) {}
        Shop shop = db.sql("select * from shop")
                .query((row, n) -> new Shop(
                        ZoneId.of(row.getString("zone")),
                        new HouseRules(
                                row.getDouble("at_risk_start"),
                                row.getDouble("told_otherwise"),
                                row.getDouble("car_in_bits"),
                                row.getDouble("finish_day"),
                                Duration.ofDays(row.getInt("unknown_arrival_days")),
                                row.getInt("frozen_days"),
                                Minutes.ofHours(row.getInt("buffer_hours")),
                                TieBreak.valueOf(row.getString("tie_break")),
                                row.getDouble("return_wrong"),
                                Minutes.of(row.getInt("stay_on_minutes")))))
                .optional()
                .orElse(new Shop(ZoneId.of("UTC"), HouseRules.defaults()));
        List<Person> people = people();
        jobs().forEach(job -> works.add(worked(job, people, now, shop.zone())));
        works.addAll(outwork());
        works.addAll(runningIn());
        return new ShopSnapshot(
                shop.zone(),
                now,
                people,
                stations(),
                vendors(),
                builds(),
                works,
                links(),
                parts(),
                commitments(),
                pins(),
                shop.rules(),
                published.last().map(PublishedRepository.Told::plan));
    }

    /** A started job without what has been worked on it since it was started. */
    private static Job worked(Job job, List<Person> people, Instant now, ZoneId zone) {
        if (job.started().isEmpty() || job.started().get().by().isEmpty()) {
            return job;
        }
        Job.Started started = job.started().get();
        return people.stream()
                .filter(p -> p.id().equals(started.by().get(0)))
                .findFirst()
                .map(p -> job.withRemaining(job.toDo().minus(WorkedTime.of(p, started.at(), now, zone))))
                .orElse(job);
    }

    private static Optional<Instant> optional(ResultSet row, String column) throws SQLException {
        return Optional.ofNullable(SqlTime.instant(row, column));
    }

    private <V> Map<String, List<V>> grouped(String sql, String key, RowReader<V> reader) {
        Map<String, List<V>> groups = new HashMap<>();
        db.sql(sql)
                .query((row, n) -> groups.computeIfAbsent(row.getString(key), k -> new ArrayList<>())
                        .add(reader.read(row)))
                .list();
        return groups;
    }

    /** Reads one row. */
    private interface RowReader<V> {
        V read(ResultSet row) throws SQLException;
    }

    private static Shift shift(ResultSet row) throws SQLException {
        return new Shift(
                DayOfWeek.of(row.getInt("day")), time(row.getInt("start_minute")), time(row.getInt("end_minute")));
    }

    private List<Person> people() {
        var shifts = grouped(
                "select * from person_shift order by day, start_minute", "person_id", SnapshotRepository::shift);
        var changes = grouped(
                "select * from shift_change order by from_day, id",
                "person_id",
                row -> new ShiftChange(
                        ShiftChange.Kind.valueOf(row.getString("kind")),
                        row.getObject("from_day", LocalDate.class),
                        row.getObject("to_day", LocalDate.class),
                        time(row.getInt("start_minute")),
                        time(row.getInt("end_minute")),
                        row.getString("note")));
        var skills = grouped(
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

    private static Closure closure(ResultSet row) throws SQLException {
        return new Closure(
                row.getObject("from_day", LocalDate.class),
                row.getObject("to_day", LocalDate.class),
                row.getString("reason"));
    }

    private List<Station> stations() {
        var closures =
                grouped("select * from station_closure order by from_day", "station_id", SnapshotRepository::closure);
        return db.sql("select * from station order by position, id")
                .query((row, n) -> new Station(
                        new StationId(row.getString("id")),
                        row.getString("name"),
                        row.getString("kind"),
                        closures.getOrDefault(row.getString("id"), List.of())))
                .list();
    }

    private List<Vendor> vendors() {
        var hours = grouped(
                "select * from vendor_hours order by day, start_minute", "vendor_id", SnapshotRepository::shift);
        var closures =
                grouped("select * from vendor_closure order by from_day", "vendor_id", SnapshotRepository::closure);
        var records = records();
        var offers = grouped(
                "select * from vendor_offer order by position, id",
                "vendor_id",
                row -> new Offer(
                        row.getString("what"),
                        Optional.ofNullable(row.getBigDecimal("price")),
                        row.getInt("low_days"),
                        row.getInt("likely_days"),
                        row.getInt("high_days")));
        var slots = grouped(
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
        return grouped(
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

    private List<Build> builds() {
        return db.sql("select * from build order by position, id")
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
                                Zone.REAR, row.getInt("limit_rear"))))
                .list();
    }

    private static WorkId workId(ResultSet row) throws SQLException {
        return new WorkId(row.getString("id"));
    }

    private static BuildId buildId(ResultSet row) throws SQLException {
        return new BuildId(row.getString("build_id"));
    }

    private static Optional<Hold> hold(ResultSet row) throws SQLException {
        String reason = row.getString("hold_reason");
        return reason == null
                ? Optional.empty()
                : Optional.of(
                        new Hold(ReasonTag.valueOf(reason), row.getString("hold_note"), optional(row, "hold_until")));
    }

    private List<Job> jobs() {
        var places = grouped(
                "select * from job_place order by work_id, place",
                "work_id",
                row -> new CrewPlace(row.getString("skill"), Level.valueOf(row.getString("least"))));
        var by = grouped(
                "select * from job_started_by order by person_id",
                "work_id",
                row -> new PersonId(row.getString("person_id")));
        var parts = grouped("""
                -- A kit is complete before a job that needs any of it may start.
                select n.work_id, n.part_id from part_need n
                union
                select n.work_id, k.id from part_need n
                join part p on p.id = n.part_id and p.kit <> ''
                join part k on k.build_id = p.build_id and k.kit = p.kit
                order by part_id""", "work_id", row -> new PartId(row.getString("part_id")));
        return db.sql("select w.*, j.* from work w join job j on j.work_id = w.id" + IN_ORDER)
                .query((row, n) -> {
                    String id = row.getString("id");
                    Integer remaining = row.getObject("remaining_minutes", Integer.class);
                    Status status = Status.valueOf(row.getString("status"));
                    Optional<StationId> station =
                            Optional.ofNullable(row.getString("station_id")).map(StationId::new);
                    Optional<Job.Started> started = status == Status.STARTED
                            ? Optional.of(new Job.Started(
                                    optional(row, "started_at").orElse(Instant.EPOCH),
                                    by.getOrDefault(id, List.of()),
                                    station))
                            : Optional.empty();
                    return new Job(
                            new WorkId(id),
                            buildId(row),
                            row.getString("name"),
                            Zone.valueOf(row.getString("zone")),
                            row.getBoolean("on_car"),
                            row.getBoolean("whole_car"),
                            Estimate.ofMinutes(
                                    row.getInt("low_minutes"),
                                    row.getInt("likely_minutes"),
                                    row.getInt("high_minutes")),
                            Optional.ofNullable(remaining).map(Minutes::of),
                            places.getOrDefault(id, List.of()),
                            Optional.ofNullable(row.getString("station_kind")),
                            row.getBoolean("one_go"),
                            Duration.ofMinutes(row.getInt("cure_minutes")),
                            CureLock.valueOf(row.getString("cure_lock")),
                            parts.getOrDefault(id, List.of()),
                            Gate.valueOf(row.getString("gate")),
                            row.getBoolean("essential"),
                            status,
                            optional(row, "not_before"),
                            hold(row),
                            started,
                            optional(row, "done_at"),
                            row.getDouble("find_chance") > 0
                                    ? Optional.of(new Findings(
                                            row.getDouble("find_chance"), Minutes.of(row.getInt("find_minutes"))))
                                    : Optional.empty());
                })
                .list();
    }

    private List<Outwork> outwork() {
        return db.sql("select w.*, o.* from work w join outwork o on o.work_id = w.id" + IN_ORDER)
                .query((row, n) -> {
                    Optional<Span> slot = SqlTime.instant(row, "slot_from") == null
                            ? Optional.empty()
                            : Optional.of(new Span(SqlTime.instant(row, "slot_from"), SqlTime.instant(row, "slot_to")));
                    Optional<Outwork.Away> away = SqlTime.instant(row, "away_since") == null
                            ? Optional.empty()
                            : Optional.of(new Outwork.Away(SqlTime.instant(row, "away_since"), arrival(row, "back")));
                    return new Outwork(
                            workId(row),
                            buildId(row),
                            row.getString("name"),
                            new VendorId(row.getString("vendor_id")),
                            row.getBoolean("whole_car"),
                            Duration.ofMinutes(row.getInt("out_minutes")),
                            slot,
                            new Outwork.Turnaround(
                                    row.getInt("low_days"), row.getInt("likely_days"), row.getInt("high_days")),
                            Duration.ofMinutes(row.getInt("back_minutes")),
                            Minutes.of(row.getInt("inspection_minutes")),
                            Gate.valueOf(row.getString("gate")),
                            row.getBoolean("essential"),
                            Status.valueOf(row.getString("status")),
                            optional(row, "not_before"),
                            hold(row),
                            away,
                            optional(row, "done_at"));
                })
                .list();
    }

    private static Arrival arrival(ResultSet row, String of) throws SQLException {
        return new Arrival(
                SqlTime.instant(row, of + "_low"),
                SqlTime.instant(row, of + "_likely"),
                SqlTime.instant(row, of + "_high"));
    }

    private List<RunningIn> runningIn() {
        return db.sql("select w.*, r.* from work w join running_in r on r.work_id = w.id" + IN_ORDER)
                .query((row, n) -> new RunningIn(
                        workId(row),
                        buildId(row),
                        row.getString("name"),
                        row.getInt("distance_km"),
                        row.getInt("done_km"),
                        row.getInt("per_day_km"),
                        Minutes.of(row.getInt("per_day_minutes")),
                        new CrewPlace(row.getString("skill"), Level.valueOf(row.getString("least"))),
                        row.getBoolean("any_weather"),
                        Gate.valueOf(row.getString("gate")),
                        row.getBoolean("essential"),
                        Status.valueOf(row.getString("status")),
                        optional(row, "not_before"),
                        hold(row),
                        optional(row, "done_at")))
                .list();
    }

    /** All links; also what {@code build} checks for circles. */
    public List<Link> links() {
        return db.sql("select * from link order by id")
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

    private List<PartLine> parts() {
        return db.sql("select * from part order by position, id")
                .query((row, n) -> new PartLine(
                        new PartId(row.getString("id")),
                        row.getString("name"),
                        PartState.valueOf(row.getString("state")),
                        SqlTime.instant(row, "arrival_likely") == null
                                ? Optional.empty()
                                : Optional.of(arrival(row, "arrival")),
                        Minutes.of(row.getInt("inspection_minutes")),
                        Optional.ofNullable(row.getString("paired_with")).map(PartId::new),
                        Optional.ofNullable(row.getString("pair_override")),
                        Optional.ofNullable(row.getString("vendor_id")).map(VendorId::new)))
                .list();
    }

    private List<Commitment> commitments() {
        Map<String, Set<WorkId>> works = new HashMap<>();
        db.sql("select * from commitment_work")
                .query((row, n) -> works.computeIfAbsent(row.getString("commitment_id"), k -> new HashSet<>())
                        .add(new WorkId(row.getString("work_id"))))
                .list();
        return db.sql("select * from commitment order by due, id")
                .query((row, n) -> new Commitment(
                        new CommitmentId(row.getString("id")),
                        buildId(row),
                        row.getString("name"),
                        Commitment.Kind.valueOf(row.getString("kind")),
                        row.getTimestamp("due").toInstant(),
                        Gate.valueOf(row.getString("gate")),
                        works.getOrDefault(row.getString("id"), Set.of()),
                        row.getDouble("weight")))
                .list();
    }

    private List<Pin> pins() {
        return db.sql("select * from pin order by id")
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
