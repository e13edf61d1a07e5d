package galecrest.server.plan;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.parts.PartId;
import galecrest.core.people.Level;
import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import galecrest.core.time.Span;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Estimate;
import galecrest.core.work.Findings;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.core.work.WorkId;
import galecrest.server.SqlTime;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what is to be done: jobs, outwork and running-in. */
@Repository
class WorkSnapshotRepository {
    /** Build by build, so that a plan does not hang on what ids happen to be. */
    private static final String IN_ORDER =
            " join build b on b.id = w.build_id where not w.filed and b.put_away_at is null"
                    + " order by b.position, w.position, w.id";

    /** Work with what is particular to its kind; a hold for a part is over once the part is here. */
    private static String work(String kind) {
        return "select w.*, k.*, exists (select 1 from part p where p.id = w.hold_part_id"
                + " and p.state in ('ACCEPTED', 'FITTED', 'FITTED_FOR_NOW')) as hold_over"
                + " from work w join " + kind + " k on k.work_id = w.id" + IN_ORDER;
    }

    private final JdbcClient db;
    private final SnapshotRows rows;

    WorkSnapshotRepository(JdbcClient db) {
        this.db = db;
        rows = new SnapshotRows(db);
    }

    List<Job> jobs() {
        var places = rows.grouped(
                """
                select p.* from job_place p join work_here w on w.id = p.work_id
                order by p.work_id, p.place""", "work_id", row -> new CrewPlace(row.getString("skill"), Level.valueOf(row.getString("least"))));
        var by = rows.grouped(
                "select * from job_started_by order by person_id",
                "work_id",
                row -> new PersonId(row.getString("person_id")));
        var parts = rows.grouped("""
                -- A kit is complete before a job that needs any of it may start.
                select n.work_id, n.part_id from part_need n join work_here w on w.id = n.work_id
                union
                select n.work_id, k.id from part_need n join work_here w on w.id = n.work_id
                join part p on p.id = n.part_id and p.kit <> ''
                join part k on k.build_id = p.build_id and k.kit = p.kit
                order by part_id""", "work_id", row -> new PartId(row.getString("part_id")));
        return db.sql(work("job"))
                .query((row, n) -> {
                    String id = row.getString("id");
                    Integer remaining = row.getObject("remaining_minutes", Integer.class);
                    Status status = Status.valueOf(row.getString("status"));
                    Optional<StationId> station =
                            Optional.ofNullable(row.getString("station_id")).map(StationId::new);
                    Optional<Job.Started> started = status == Status.STARTED
                            ? Optional.of(new Job.Started(
                                    SnapshotRows.optional(row, "started_at").orElse(Instant.EPOCH),
                                    by.getOrDefault(id, List.of()),
                                    station))
                            : Optional.empty();
                    return new Job(
                            new WorkId(id),
                            SnapshotRows.buildId(row),
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
                            SnapshotRows.optional(row, "not_before"),
                            SnapshotRows.hold(row),
                            started,
                            SnapshotRows.optional(row, "done_at"),
                            row.getDouble("find_chance") > 0
                                    ? Optional.of(new Findings(
                                            row.getDouble("find_chance"), Minutes.of(row.getInt("find_minutes"))))
                                    : Optional.empty());
                })
                .list();
    }

    List<Outwork> outwork() {
        return db.sql(work("outwork"))
                .query((row, n) -> {
                    Optional<Span> slot = SqlTime.instant(row, "slot_from") == null
                            ? Optional.empty()
                            : Optional.of(new Span(SqlTime.instant(row, "slot_from"), SqlTime.instant(row, "slot_to")));
                    Optional<Outwork.Away> away = SqlTime.instant(row, "away_since") == null
                            ? Optional.empty()
                            : Optional.of(new Outwork.Away(
                                    SqlTime.instant(row, "away_since"), SnapshotRows.arrival(row, "back")));
                    return new Outwork(
                            SnapshotRows.workId(row),
                            SnapshotRows.buildId(row),
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
                            SnapshotRows.optional(row, "not_before"),
                            SnapshotRows.hold(row),
                            away,
                            SnapshotRows.optional(row, "done_at"));
                })
                .list();
    }

    List<RunningIn> runningIn() {
        return db.sql(work("running_in"))
                .query((row, n) -> new RunningIn(
                        SnapshotRows.workId(row),
                        SnapshotRows.buildId(row),
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
                        SnapshotRows.optional(row, "not_before"),
                        SnapshotRows.hold(row),
                        SnapshotRows.optional(row, "done_at")))
                .list();
    }
}
