package galecrest.server.snapshot;

import galecrest.core.build.Build;
import galecrest.core.build.Zone;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Commitment;
import galecrest.core.work.Findings;
import galecrest.core.work.Hold;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outing;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.SqlTime;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Writes builds and what is to be done on them. */
final class WorkRows {
    private final SnapshotInserts rows;
    /** Counts on through one import, so that rows keep the order of the file. */
    private int position;

    WorkRows(SnapshotInserts rows) {
        this.rows = rows;
    }

    void build(Build build) {
        rows.insert(
                """
                insert into build (id, number, name, body, customer, discipline, weight, limit_front, limit_engine_bay,
                    limit_cockpit, limit_underside, limit_rear, parked, parked_until, position)
                values (?, ?, ?, 'SALOON', '', '', ?, ?, ?, ?, ?, ?, ?, ?, ?)""",
                build.id().value(),
                build.number(),
                build.name(),
                build.weight(),
                build.zoneLimit(Zone.FRONT),
                build.zoneLimit(Zone.ENGINE_BAY),
                build.zoneLimit(Zone.COCKPIT),
                build.zoneLimit(Zone.UNDERSIDE),
                build.zoneLimit(Zone.REAR),
                build.parked().isPresent(),
                SnapshotInserts.at(build.parked().flatMap(Build.Parked::until)),
                position++);
    }

    void work(Work work) {
        String kind = work instanceof Job ? "JOB" : work instanceof Outwork ? "OUTWORK" : "RUNNING_IN";
        Optional<Hold> hold = work.hold();
        rows.insert(
                """
                insert into work (id, build_id, kind, name, gate, essential, status, not_before, hold_reason, hold_note,
                    hold_until, hold_part_id, done_at, position)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""",
                work.id().value(),
                work.build().value(),
                kind,
                work.name(),
                work.gate().name(),
                work.essential(),
                work.status().name(),
                SnapshotInserts.at(work.notBefore()),
                hold.map(h -> h.reason().name()).orElse(null),
                hold.map(Hold::note).orElse(null),
                SnapshotInserts.at(hold.flatMap(Hold::until)),
                hold.flatMap(Hold::part).map(p -> p.value()).orElse(null),
                SnapshotInserts.at(work.doneAt()),
                position++);
        if (work instanceof Job job) {
            job(job);
        } else if (work instanceof Outwork outwork) {
            outwork(outwork);
        } else {
            runningIn((RunningIn) work);
        }
    }

    private void job(Job job) {
        String id = job.id().value();
        rows.insert(
                """
                insert into job (work_id, zone, on_car, whole_car, low_minutes, likely_minutes, high_minutes,
                    remaining_minutes, station_kind, one_go, cure_minutes, cure_lock, started_at, station_id,
                    find_chance, find_minutes)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""",
                id,
                job.zone().name(),
                job.onCar(),
                job.wholeCar(),
                job.estimate().low().value(),
                job.estimate().likely().value(),
                job.estimate().high().value(),
                job.remaining().map(m -> m.value()).orElse(null),
                job.stationKind().orElse(null),
                job.oneGo(),
                job.cure().toMinutes(),
                job.cureLock().name(),
                SnapshotInserts.at(job.started().map(Job.Started::at)),
                job.started().flatMap(Job.Started::station).map(s -> s.value()).orElse(null),
                job.findings().map(Findings::chance).orElse(0.0),
                job.findings().map(f -> f.work().value()).orElse(0L));
        for (int place = 0; place < job.crew().size(); place++) {
            rows.insert(
                    "insert into job_place values (?, ?, ?, ?)",
                    id,
                    place,
                    job.crew().get(place).skill(),
                    job.crew().get(place).least().name());
        }
        job.started().ifPresent(s -> s.by().forEach(
                        p -> rows.insert("insert into job_started_by values (?, ?)", id, p.value())));
    }

    private void outwork(Outwork o) {
        rows.insert(
                """
                insert into outwork (work_id, vendor_id, whole_car, out_minutes, slot_from, slot_to, low_days,
                    likely_days, high_days, back_minutes, inspection_minutes, away_since, back_low, back_likely, back_high)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""",
                o.id().value(),
                o.vendor().value(),
                o.wholeCar(),
                o.transportOut().toMinutes(),
                SnapshotInserts.at(o.slot().map(s -> s.from())),
                SnapshotInserts.at(o.slot().map(s -> s.to())),
                o.turnaround().low(),
                o.turnaround().likely(),
                o.turnaround().high(),
                o.transportBack().toMinutes(),
                o.inspection().value(),
                SnapshotInserts.at(o.away().map(Outwork.Away::since)),
                SnapshotInserts.at(o.away().map(a -> a.back().low())),
                SnapshotInserts.at(o.away().map(a -> a.back().likely())),
                SnapshotInserts.at(o.away().map(a -> a.back().high())));
    }

    private void runningIn(RunningIn r) {
        rows.insert(
                "insert into running_in values (?, ?, ?, ?, ?, ?, ?, ?)",
                r.id().value(),
                r.distanceKm(),
                r.doneKm(),
                r.perDayKm(),
                r.perDay().value(),
                r.driver().skill(),
                r.driver().least().name(),
                r.anyWeather());
    }

    void needs(Work work) {
        if (work instanceof Job job) {
            job.parts()
                    .forEach(p -> rows.insert(
                            "insert into part_need values (?, ?)",
                            p.value(),
                            job.id().value()));
        }
    }

    void link(Link link) {
        rows.insert(
                "insert into link values (?, ?, ?, ?, ?, ?, ?, ?)",
                link.id().value(),
                link.first().value(),
                link.then().value(),
                link.type().name(),
                link.lag().minutes().value(),
                link.lag().working(),
                link.risk().map(Link.Risk::chance).orElse(null),
                link.risk().map(r -> r.rework().value()).orElse(null));
    }

    void commitment(Commitment c) {
        rows.insert(
                "insert into commitment (id, build_id, name, kind, due, gate, weight) values (?, ?, ?, ?, ?, ?, ?)",
                c.id().value(),
                c.build().value(),
                c.name(),
                c.kind().name(),
                SqlTime.of(c.due()),
                c.gate().name(),
                c.weight());
        for (WorkId work : c.works()) {
            rows.insert("insert into commitment_work values (?, ?)", c.id().value(), work.value());
        }
        c.outing().ifPresent(outing -> outing(c, outing));
    }

    private void outing(Commitment c, Outing outing) {
        String id = c.id().value();
        rows.insert("update commitment set back_at = ? where id = ?", SqlTime.of(outing.back()), id);
        outing.crew().forEach(p -> rows.insert("insert into outing_person values (?, ?)", id, p.value()));
        outing.takes().forEach(s -> rows.insert("insert into outing_station values (?, ?)", id, s.value()));
    }

    /** Which date a piece of work is for: the first of its car that does not leave it for later; or for after all of them. */
    void belongings(ShopSnapshot shop) {
        Map<WorkId, Work> works = new HashMap<>();
        shop.works().forEach(w -> works.put(w.id(), w));
        shop.commitments().stream()
                .flatMap(c -> c.leftForLater().stream())
                .filter(work -> shop.commitments().stream().noneMatch(c -> c.there(works.get(work))))
                .distinct()
                .sorted()
                .forEach(work -> {
                    Optional<Commitment> its = shop.commitments().stream()
                            .filter(c -> c.build().equals(works.get(work).build())
                                    && !c.named()
                                    && !c.leftForLater().contains(work))
                            .min(Comparator.comparing(Commitment::due));
                    rows.insert(
                            "update work set date_id = ?, after_dates = ? where id = ?",
                            its.map(c -> c.id().value()).orElse(null),
                            its.isEmpty(),
                            work.value());
                });
        shop.commitments().forEach(c -> c.outing()
                .map(Outing::there)
                .orElse(Set.of())
                .forEach(work ->
                        rows.insert("update work set there_id = ? where id = ?", c.id().value(), work.value())));
    }

    void pin(Pin pin) {
        String id = pin.id().value();
        String work = pin.work().value();
        String sql =
                "insert into pin (id, work_id, kind, person_id, station_id, first_id, at) values (?, ?, ?, ?, ?, ?, ?)";
        if (pin instanceof Pin.ToPerson p) {
            rows.insert(sql, id, work, "PERSON", p.person().value(), null, null, null);
        } else if (pin instanceof Pin.ToStation p) {
            rows.insert(sql, id, work, "STATION", null, p.station().value(), null, null);
        } else if (pin instanceof Pin.After p) {
            rows.insert(sql, id, work, "AFTER", null, null, p.first().value(), null);
        } else if (pin instanceof Pin.NotBefore p) {
            rows.insert(sql, id, work, "NOT_BEFORE", null, null, null, SqlTime.of(p.at()));
        } else {
            rows.insert(sql, id, work, "EXACTLY", null, null, null, SqlTime.of(((Pin.Exactly) pin).at()));
        }
    }
}
