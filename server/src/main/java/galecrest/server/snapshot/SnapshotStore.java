package galecrest.server.snapshot;

import galecrest.core.parts.PartId;
import galecrest.core.plan.ShopSnapshot;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Writes a snapshot into an empty shop. What a snapshot does not know (customers, prices) stays empty. */
@Repository
class SnapshotStore {
    private final JdbcClient db;

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
        SnapshotInserts rows = new SnapshotInserts(db);
        ResourceRows resources = new ResourceRows(rows);
        WorkRows work = new WorkRows(rows);
        PartRows parts = new PartRows(rows);
        rows.insert(
                "insert into shop (name, zone, at_risk_start, told_otherwise, opened_car_day, finish_day,"
                        + " unknown_arrival_days, frozen_days, buffer_hours, tie_break, return_wrong, stay_on_minutes, month_first, twelve_hours)"
                        + " values ('Imported shop', ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do update set zone = excluded.zone",
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
                (int) shop.rules().stayOn().value(),
                shop.rules().says().monthFirst(),
                shop.rules().says().twelveHours());
        shop.people().forEach(resources::person);
        shop.stations().forEach(resources::station);
        shop.vendors().forEach(resources::vendor);
        shop.builds().forEach(work::build);
        shop.works().forEach(work::work);
        shop.links().forEach(work::link);
        Map<PartId, String> builds = PartRows.buildsOfParts(shop);
        shop.parts().forEach(p -> parts.part(p, builds.get(p.id())));
        shop.parts().forEach(p -> p.pairedWith()
                .ifPresent(
                        o -> rows.insert("update part set paired_with = ? where id = ?", o.value(), p.id().value())));
        shop.works().forEach(work::needs);
        // The date of a booked slot comes from the booking.
        shop.commitments().stream().filter(c -> c.slotOf().isEmpty()).forEach(work::commitment);
        work.belongings(shop);
        shop.pins().forEach(work::pin);
    }
}
