package galecrest.server.plan;

import galecrest.core.build.Build;
import galecrest.core.people.Person;
import galecrest.core.people.WorkedTime;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.HouseRules;
import galecrest.core.shop.TieBreak;
import galecrest.core.time.DateStyle;
import galecrest.core.time.Minutes;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Work;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what the planner plans with, set by set. */
@Repository
public class SnapshotRepository {
    private final JdbcClient db;
    private final ResourceSnapshotRepository resources;
    private final WorkSnapshotRepository work;
    private final OrderSnapshotRepository order;
    private final DateSnapshotRepository dates;
    private final PublishedRepository published;

    SnapshotRepository(
            JdbcClient db,
            ResourceSnapshotRepository resources,
            WorkSnapshotRepository work,
            OrderSnapshotRepository order,
            DateSnapshotRepository dates,
            PublishedRepository published) {
        this.db = db;
        this.resources = resources;
        this.work = work;
        this.order = order;
        this.dates = dates;
        this.published = published;
    }

    ShopSnapshot snapshot(Instant now) {
        List<Work> all = new ArrayList<>();
        record Shop(ZoneId zone, HouseRules rules) {}
        Shop shop = db.sql("select * from shop")
                .query((row, n) -> new Shop(
                        ZoneId.of(row.getString("zone")),
                        new HouseRules(
                                row.getDouble("at_risk_start"),
                                row.getDouble("told_otherwise"),
                                row.getDouble("opened_car_day"),
                                row.getDouble("finish_day"),
                                Duration.ofDays(row.getInt("unknown_arrival_days")),
                                row.getInt("frozen_days"),
                                Minutes.ofHours(row.getInt("buffer_hours")),
                                TieBreak.valueOf(row.getString("tie_break")),
                                row.getDouble("return_wrong"),
                                Minutes.of(row.getInt("stay_on_minutes")),
                                new DateStyle(row.getBoolean("month_first"), row.getBoolean("twelve_hours")))))
                .optional()
                .orElse(new Shop(ZoneId.of("UTC"), HouseRules.defaults()));
        List<Person> people = resources.people();
        work.jobs().forEach(job -> all.add(worked(job, people, now, shop.zone())));
        all.addAll(work.outwork());
        all.addAll(work.runningIn());
        List<Work> works = dates.laidBetweenDates(all);
        List<Build> builds = order.builds();
        List<Link> links = order.links();
        return new ShopSnapshot(
                        shop.zone(),
                        now,
                        people,
                        resources.stations(),
                        resources.vendors(),
                        builds,
                        works,
                        links,
                        order.parts(),
                        dates.commitments(builds, works, links),
                        order.pins(),
                        shop.rules(),
                        published.last().map(PublishedRepository.Told::plan),
                        published.taken())
                .withCrewsAway();
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
                .map(p -> job.afterWorking(WorkedTime.of(p, started.at(), now, zone)))
                .orElse(job);
    }
}
