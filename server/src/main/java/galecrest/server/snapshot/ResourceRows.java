package galecrest.server.snapshot;

import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.shop.Station;
import galecrest.core.vendor.Offer;
import galecrest.core.vendor.Vendor;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import galecrest.server.people.DayMinutes;

/** Writes who and what there is to plan with. */
final class ResourceRows {
    private final SnapshotInserts rows;
    /** Counts on through one import, so that rows keep the order of the file. */
    private int position;

    ResourceRows(SnapshotInserts rows) {
        this.rows = rows;
    }

    void person(Person person) {
        String id = person.id().value();
        rows.insert(
                "insert into person (id, name, cost_per_hour, position) values (?, ?, ?, ?)",
                id,
                person.name(),
                person.costPerHour(),
                position++);
        person.skills()
                .forEach((skill, level) ->
                        rows.insert("insert into person_skill values (?, ?, ?)", id, skill, level.name()));
        person.shifts()
                .forEach(s -> rows.insert(
                        "insert into person_shift values (?, ?, ?, ?)",
                        id,
                        s.day().getValue(),
                        DayMinutes.start(s.start()),
                        DayMinutes.end(s.end())));
        // Who is away with a car follows from its date.
        person.changes().stream()
                .filter(c -> c.kind() != ShiftChange.Kind.AWAY)
                .forEach(c -> rows.insert(
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

    void station(Station station) {
        String id = station.id().value();
        rows.insert(
                "insert into station (id, name, kind, position) values (?, ?, ?, ?)",
                id,
                station.name(),
                station.kind(),
                position++);
        station.closures()
                .forEach(c -> rows.insert(
                        "insert into station_closure values (?, ?, ?, ?, ?)",
                        NewId.next(),
                        id,
                        c.from(),
                        c.to(),
                        c.reason()));
    }

    void vendor(Vendor vendor) {
        String id = vendor.id().value();
        rows.insert(
                "insert into vendor (id, name, trade, phone) values (?, ?, ?, ?)",
                id,
                vendor.name(),
                vendor.trade(),
                vendor.phone());
        vendor.hours()
                .forEach(s -> rows.insert(
                        "insert into vendor_hours values (?, ?, ?, ?)",
                        id,
                        s.day().getValue(),
                        DayMinutes.start(s.start()),
                        DayMinutes.end(s.end())));
        vendor.record().ifPresent(r -> r.kept()
                .forEach(k -> rows.insert(
                        "insert into delivery values (?, ?, ?, ?, ?)",
                        NewId.next(),
                        id,
                        "",
                        SqlTime.of(k.promised()),
                        SqlTime.of(k.real()))));
        for (int i = 0; i < vendor.offers().size(); i++) {
            Offer offer = vendor.offers().get(i);
            rows.insert(
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
                .forEach(s -> rows.insert(
                        "insert into vendor_slot values (?, ?, ?, ?, '')",
                        s.id(),
                        id,
                        SqlTime.of(s.when().from()),
                        SqlTime.of(s.when().to())));
        vendor.closures()
                .forEach(c -> rows.insert(
                        "insert into vendor_closure values (?, ?, ?, ?, ?)",
                        NewId.next(),
                        id,
                        c.from(),
                        c.to(),
                        c.reason()));
    }
}
