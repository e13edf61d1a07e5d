package galecrest.server.snapshot;

import galecrest.core.build.Build;
import galecrest.core.build.Zone;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.Person;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.Station;
import galecrest.core.vendor.Offer;
import galecrest.core.vendor.Vendor;
import galecrest.core.work.Commitment;
import galecrest.core.work.Findings;
import galecrest.core.work.Hold;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import galecrest.server.people.DayMinutes;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Writes a snapshot into an empty shop. What a snapshot does not know (customers, prices) stays empty. */
@Repository
class SnapshotStore {
    private final JdbcClient db;
    /** Counts on through one import, so that rows keep the order of the file. */
    private int position;

    SnapshotStore(JdbcClient db) {
        this.db = db;
    }

    boolean isEmpty() {
        return db.sql(
                                "select (select count(*) from person) + (select count(*) from build) + (select count(*) from station)")
                        .query(Integer.class)
                        .single()
                == 0;
    }

    synchronized void save(ShopSnapshot shop) {
        position = 0;
        insert(
                "insert into shop (name, zone, at_risk_start, told_otherwise, car_in_bits, finish_day,"
                        + " unknown_arrival_days, frozen_days, buffer_hours, tie_break, return_wrong, stay_on_minutes)"
                        + " values ('Imported shop', ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do update set zone = excluded.zone",
                shop.zone().getId(),
                shop.rules().atRiskStart(),
                shop.rules().toldOtherwise(),
                shop.rules().carInBits(),
                shop.rules().finishDay(),
                shop.rules().unknownArrival().toDays(),
                shop.rules().frozenDays(),
                (int) shop.rules().buffer().hours(),
                shop.rules().tieBreak().name(),
                shop.rules().returnWrong(),
                (int) shop.rules().stayOn().value());
        shop.people().forEach(this::person);
        shop.stations().forEach(this::station);
        shop.vendors().forEach(this::vendor);
        shop.builds().forEach(this::build);
        shop.works().forEach(this::work);
        shop.links().forEach(this::link);
        Map<PartId, String> builds = buildsOfParts(shop);
        shop.parts().forEach(p -> part(p, builds.get(p.id())));
        shop.parts().forEach(p -> p.pairedWith()
                .ifPresent(o -> insert("update part set paired_with = ? where id = ?", o.value(), p.id().value())));
        shop.works().forEach(this::needs);
        shop.commitments().forEach(this::commitment);
        shop.pins().forEach(this::pin);
    }

    private void insert(String sql, @Nullable Object... values) {
        JdbcClient.StatementSpec statement = db.sql(sql);
        for (int i = 0; i < values.length; i++) {
            statement = statement.param(i + 1, values[i]);
        }
        statement.update();
    }

    private static @Nullable Timestamp at(Optional<Instant> instant) {
        return SqlTime.of(instant.orElse(null));
    }

    private void person(Person person) {
        String id = person.id().value();
        insert(
                "insert into person (id, name, cost_per_hour, position) values (?, ?, ?, ?)",
                id,
                person.name(),
                person.costPerHour(),
                position++);
        person.skills()
                .forEach(
                        (skill, level) -> insert("insert into person_skill values (?, ?, ?)", id, skill, level.name()));
        person.shifts()
                .forEach(s -> insert(
                        "insert into person_shift values (?, ?, ?, ?)",
                        id,
                        s.day().getValue(),
                        DayMinutes.start(s.start()),
                        DayMinutes.end(s.end())));
        person.changes()
                .forEach(c -> insert(
                        "insert into shift_change values (?, ?, ?, ?, ?, ?, ?, ?)",
                        NewId.next(),
                        id,
                        c.kind().name(),
                        c.from(),
                        c.to(),
                        DayMinutes.start(c.start()),
                        DayMinutes.end(c.end()),
                        c.note()));
    }

    private void station(Station station) {
        String id = station.id().value();
        insert(
                "insert into station (id, name, kind, position) values (?, ?, ?, ?)",
                id,
                station.name(),
                station.kind(),
                position++);
        station.closures()
                .forEach(c -> insert(
                        "insert into station_closure values (?, ?, ?, ?, ?)",
                        NewId.next(),
                        id,
                        c.from(),
                        c.to(),
                        c.reason()));
    }

    private void vendor(Vendor vendor) {
        String id = vendor.id().value();
        insert(
                "insert into vendor (id, name, trade, phone) values (?, ?, ?, ?)",
                id,
                vendor.name(),
                vendor.trade(),
                vendor.phone());
        vendor.hours()
                .forEach(s -> insert(
                        "insert into vendor_hours values (?, ?, ?, ?)",
                        id,
                        s.day().getValue(),
                        DayMinutes.start(s.start()),
                        DayMinutes.end(s.end())));
        vendor.record().ifPresent(r -> r.kept()
                .forEach(k -> insert(
                        "insert into delivery values (?, ?, ?, ?, ?)",
                        NewId.next(),
                        id,
                        "",
                        SqlTime.of(k.promised()),
                        SqlTime.of(k.real()))));
        for (int i = 0; i < vendor.offers().size(); i++) {
            Offer offer = vendor.offers().get(i);
            insert(
                    "insert into vendor_offer values (?, ?, ?, ?, ?, ?, ?, ?)",
                    NewId.next(),
                    id,
                    offer.what(),
                    offer.price().orElse(null),
                    offer.low(),
                    offer.likely(),
                    offer.high(),
                    i);
        }
        vendor.slots()
                .forEach(s -> insert(
                        "insert into vendor_slot values (?, ?, ?, ?, '')",
                        s.id(),
                        id,
                        SqlTime.of(s.when().from()),
                        SqlTime.of(s.when().to())));
        vendor.closures()
                .forEach(c -> insert(
                        "insert into vendor_closure values (?, ?, ?, ?, ?)",
                        NewId.next(),
                        id,
                        c.from(),
                        c.to(),
                        c.reason()));
    }

    private void build(Build build) {
        insert(
                """
                insert into build (id, number, name, body, customer, discipline, weight, limit_front, limit_engine_bay,
                    limit_cockpit, limit_underside, limit_rear, position)
                values (?, ?, ?, 'SALOON', '', '', ?, ?, ?, ?, ?, ?, ?)""",
                build.id().value(),
                build.number(),
                build.name(),
                build.weight(),
                build.zoneLimit(Zone.FRONT),
                build.zoneLimit(Zone.ENGINE_BAY),
                build.zoneLimit(Zone.COCKPIT),
                build.zoneLimit(Zone.UNDERSIDE),
                build.zoneLimit(Zone.REAR),
                position++);
    }

    private void work(Work work) {
        String kind = work instanceof Job ? "JOB" : work instanceof Outwork ? "OUTWORK" : "RUNNING_IN";
        Optional<Hold> hold = work.hold();
        insert(
                """
                insert into work (id, build_id, kind, name, gate, essential, status, not_before, hold_reason, hold_note,
                    hold_until, done_at, position)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""",
                work.id().value(),
                work.build().value(),
                kind,
                work.name(),
                work.gate().name(),
                work.essential(),
                work.status().name(),
                at(work.notBefore()),
                hold.map(h -> h.reason().name()).orElse(null),
                hold.map(Hold::note).orElse(null),
                at(hold.flatMap(Hold::until)),
                at(work.doneAt()),
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
        insert(
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
                at(job.started().map(Job.Started::at)),
                job.started().flatMap(Job.Started::station).map(s -> s.value()).orElse(null),
                job.findings().map(Findings::chance).orElse(0.0),
                job.findings().map(f -> f.work().value()).orElse(0L));
        for (int place = 0; place < job.crew().size(); place++) {
            insert(
                    "insert into job_place values (?, ?, ?, ?)",
                    id,
                    place,
                    job.crew().get(place).skill(),
                    job.crew().get(place).least().name());
        }
        job.started()
                .ifPresent(s -> s.by().forEach(p -> insert("insert into job_started_by values (?, ?)", id, p.value())));
    }

    private void outwork(Outwork o) {
        insert(
                """
                insert into outwork (work_id, vendor_id, whole_car, out_minutes, slot_from, slot_to, low_days,
                    likely_days, high_days, back_minutes, inspection_minutes, away_since, back_low, back_likely, back_high)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""",
                o.id().value(),
                o.vendor().value(),
                o.wholeCar(),
                o.transportOut().toMinutes(),
                at(o.slot().map(s -> s.from())),
                at(o.slot().map(s -> s.to())),
                o.turnaround().low(),
                o.turnaround().likely(),
                o.turnaround().high(),
                o.transportBack().toMinutes(),
                o.inspection().value(),
                at(o.away().map(Outwork.Away::since)),
                at(o.away().map(a -> a.back().low())),
                at(o.away().map(a -> a.back().likely())),
                at(o.away().map(a -> a.back().high())));
    }

    private void runningIn(RunningIn r) {
        insert(
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

    private void link(Link link) {
        insert(
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

    /** A part belongs to the build of the jobs that need it; one that nothing needs, to the first build. */
    private static Map<PartId, String> buildsOfParts(ShopSnapshot shop) {
        Map<PartId, String> builds = new HashMap<>();
        if (!shop.builds().isEmpty()) {
            shop.parts()
                    .forEach(p -> builds.put(p.id(), shop.builds().get(0).id().value()));
        }
        for (Work work : shop.works()) {
            if (work instanceof Job job) {
                job.parts().forEach(p -> builds.put(p, job.build().value()));
            }
        }
        return builds;
    }

    private void part(PartLine part, @Nullable String build) {
        if (build == null) {
            return;
        }
        insert(
                """
                insert into part (id, build_id, name, state, vendor_id, arrival_low, arrival_likely, arrival_high,
                    inspection_minutes, pair_override, promised_at, position)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""",
                part.id().value(),
                build,
                part.name(),
                part.state().name(),
                part.vendor().map(v -> v.value()).orElse(null),
                at(part.arrival().map(a -> a.low())),
                at(part.arrival().map(a -> a.likely())),
                at(part.arrival().map(a -> a.high())),
                part.inspection().value(),
                part.pairOverride().orElse(null),
                at(part.arrival().map(a -> a.likely())),
                position++);
    }

    private void needs(Work work) {
        if (work instanceof Job job) {
            job.parts()
                    .forEach(p -> insert(
                            "insert into part_need values (?, ?)",
                            p.value(),
                            job.id().value()));
        }
    }

    private void commitment(Commitment c) {
        insert(
                "insert into commitment (id, build_id, name, kind, due, gate, weight) values (?, ?, ?, ?, ?, ?, ?)",
                c.id().value(),
                c.build().value(),
                c.name(),
                c.kind().name(),
                SqlTime.of(c.due()),
                c.gate().name(),
                c.weight());
        for (WorkId work : c.works()) {
            insert("insert into commitment_work values (?, ?)", c.id().value(), work.value());
        }
    }

    private void pin(Pin pin) {
        String id = pin.id().value();
        String work = pin.work().value();
        String sql =
                "insert into pin (id, work_id, kind, person_id, station_id, first_id, at) values (?, ?, ?, ?, ?, ?, ?)";
        if (pin instanceof Pin.ToPerson p) {
            insert(sql, id, work, "PERSON", p.person().value(), null, null, null);
        } else if (pin instanceof Pin.ToStation p) {
            insert(sql, id, work, "STATION", null, p.station().value(), null, null);
        } else if (pin instanceof Pin.After p) {
            insert(sql, id, work, "AFTER", null, null, p.first().value(), null);
        } else if (pin instanceof Pin.NotBefore p) {
            insert(sql, id, work, "NOT_BEFORE", null, null, null, SqlTime.of(p.at()));
        } else {
            insert(sql, id, work, "EXACTLY", null, null, null, SqlTime.of(((Pin.Exactly) pin).at()));
        }
    }
}
