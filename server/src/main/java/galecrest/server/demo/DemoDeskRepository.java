package galecrest.server.demo;

import galecrest.server.NewId;
import java.sql.Timestamp;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Profile;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What lies on the demo shop's desk: how vendors have kept their word, a shaft nobody has measured, a parcel to open. */
@Repository
@Profile("demo")
class DemoDeskRepository {
    private static final int SHIFT_MINUTES = 480;

    private final JdbcClient db;

    DemoDeskRepository(JdbcClient db) {
        this.db = db;
    }

    void all(DemoShop shop) {
        toDecide(shop);
        fault(shop);
        kept(shop, "Tide Driveline", 4, 6, 5, 9, 3, 7);
        kept(shop, "Harbour Coatings", 0, 1, 0, 2, 0, 0, 1);
        kept(shop, "Anchor Machining", 0, 0, 1);
        kept(shop, "Quay Rolling Road", 0, 0, 0, 0);
        kept(shop, "Slip Hose & Fittings", -1, 0, 0, 1);
        db.sql(
                        "update vendor set email = 'orders@' || replace(replace(lower(name), ' & ', '-'), ' ', '-') || '.example'")
                .update();
        said(shop, "driveshaft right", "Back-ordered; they wait for the tube.", 30, 1, 15);
        said(shop, "oil cooler hoses, −10", "Being crimped, no day yet.", 22, 0, 16);
        mate("oil cooler hoses, −10", "cooler", "THREAD", "-10 AN male", "-10 AN female");
        mate("oil cooler hoses, −10", "take-off plate", "THREAD", "-10 AN male", "-10 AN female");
        mate("driveshaft, long travel", "gearbox end", "SPLINE", "26 x 30 female", "26 x 30 male");
        mate("driveshaft, long travel", "wheel end", "JOINT", "94 mm outer", "");
        arrived("wishbone bushes", "8 bushes, 60 shore, bore for a 12 mm bolt", 8);
        mate("wishbone bushes", "wishbone eye", "BORE_AND_SHAFT", "bore 34.00..34.05", "shaft 34.05..34.10");
        db.sql("update part set tracking = 'BW-4471' where name = 'coated exhaust flange'")
                .update();
        buy(shop, "M8 × 25 flanged bolts", "box", "Harbour Fasteners", "Bo");
        buy(shop, "brake cleaner", "6 cans", "Harbour Fasteners", "Bo");
        buy(shop, "3.2 mm drill bits", "10", "Quayside Tools", "Ina");
        buy(shop, "heat-shrink sleeve, 6 mm", "5 m", "Quayside Tools", "Kit");
        offer("Tide Driveline", "driveshaft right", "430.00", 6, 8, 12);
        offer("Tide Driveline", "driveshaft, long travel", "515.00", 8, 10, 15);
        offer("Slip Hose & Fittings", "oil cooler hoses, −10", "96.40", 1, 2, 4);
        offer("Quay Rolling Road", "Rolling road session", "620.00", 1, 2, 4);
        offer("Harbour Coatings", "Manifold coated", "280.00", 2, 3, 5);
        offer("Tarnside Tyres", "studded tyres, 8", "192.00", 5, 8, 12);
        time(shop, "quay", 9, 10, 16, "a cancellation");
        time(shop, "quay", 12, 9, 14, "");
        time(shop, "quay", 13, 9, 17, "");
        money(shop);
        shelf("oil filter, long", "shelf 2", 5, 4);
        shelf("brake pads, rear, soft", "shelf 4", 2, 3);
        shelf("spark plugs, cold", "drawer 7", 12, 8);
    }

    /** Something on the shelf that a job makes more of. */
    void shelfFrom(String name, String place, int quantity, int least, String work, int more) {
        shelf(name, place, quantity, least);
        db.sql("insert into job_yield select :work, id, :more from shelf where name = :name")
                .param("work", work)
                .param("more", more)
                .param("name", name)
                .update();
    }

    /** A way that brings a part by a time, for the car of the part, with the van. */
    void errand(String work, String date, String place, String part, Instant from, Instant by) {
        db.sql("""
                        insert into errand select :work, :place, build_id, id, :by, :date from part where name = :part
                        limit 1""")
                .param("work", work)
                .param("place", place)
                .param("by", Timestamp.from(by))
                .param("date", date)
                .param("part", part)
                .update();
        db.sql("update work set date_id = :date, not_before = :from where id = :work")
                .param("date", date)
                .param("from", Timestamp.from(from))
                .param("work", work)
                .update();
        db.sql("""
                        update part set arrival_low = :by, arrival_likely = :by, arrival_high = :by
                        where id = (select part_id from errand where work_id = :work)""").param("by", Timestamp.from(by)).param("work", work).update();
        db.sql("update job set station_kind = 'vehicle', one_go = true where work_id = :work")
                .param("work", work)
                .update();
    }

    private void offer(String vendor, String what, String price, int low, int likely, int high) {
        db.sql("""
                        insert into vendor_offer
                        select :id, id, :what, :price::numeric, :low, :likely, :high, (select count(*) from vendor_offer)
                        from vendor where name = :vendor""")
                .param("id", NewId.next())
                .param("vendor", vendor)
                .param("what", what)
                .param("price", price)
                .param("low", low)
                .param("likely", likely)
                .param("high", high)
                .update();
    }

    /** A time that a vendor offers, so many working days from today. */
    private void time(DemoShop shop, String vendor, int ahead, int from, int to, String note) {
        db.sql("insert into vendor_slot values (:id, :vendor, :from, :to, :note)")
                .param("id", NewId.next())
                .param("vendor", vendor)
                .param("from", Timestamp.from(DemoShop.at(shop.workday(ahead), from)))
                .param("to", Timestamp.from(DemoShop.at(shop.workday(ahead), to)))
                .param("note", note)
                .update();
    }

    /** A vendor's deliveries, each so many days after the promised day. */
    private void kept(DemoShop shop, String vendor, int... late) {
        for (int i = 0; i < late.length; i++) {
            Instant promised = shop.now().minus(21L * (i + 1), ChronoUnit.DAYS);
            db.sql(
                            "insert into delivery select :id, id, 'an earlier delivery', :promised, :came from vendor where name = :vendor")
                    .param("id", NewId.next())
                    .param("vendor", vendor)
                    .param("promised", Timestamp.from(promised))
                    .param("came", Timestamp.from(promised.plus(late[i], ChronoUnit.DAYS)))
                    .update();
        }
    }

    private void said(DemoShop shop, String part, String said, int hoursAgo, int nextDay, int hour) {
        db.sql("insert into vendor_word select :id, id, null, :at, 'Mara', :said, :next from part where name = :part")
                .param("id", NewId.next())
                .param("part", part)
                .param("at", Timestamp.from(shop.now().minus(hoursAgo, ChronoUnit.HOURS)))
                .param("said", said)
                .param("next", Timestamp.from(shop.at(nextDay, hour)))
                .update();
    }

    void mate(String part, String place, String kind, String carSide, String partSide) {
        db.sql(
                        "insert into mate select :id, id, :place, :kind, :carSide, :partSide, (select count(*) from mate) from part where name = :part")
                .param("id", NewId.next())
                .param("part", part)
                .param("place", place)
                .param("kind", kind)
                .param("carSide", carSide)
                .param("partSide", partSide)
                .update();
    }

    private void arrived(String part, String specification, int quantity) {
        db.sql(
                        "update part set state = 'ARRIVED', specification = :specification, quantity = :quantity where name = :part")
                .param("part", part)
                .param("specification", specification)
                .param("quantity", quantity)
                .update();
    }

    private void buy(DemoShop shop, String name, String quantity, String from, String by) {
        db.sql("insert into supply values (:id, :name, :quantity, :from, null, :by, :at)")
                .param("id", NewId.next())
                .param("name", name)
                .param("quantity", quantity)
                .param("from", from)
                .param("by", by)
                .param("at", Timestamp.from(shop.now().minus(5, ChronoUnit.HOURS)))
                .update();
    }

    /** Estimates of the customer cars, deposits, and the clock of what is done: welding takes longer than thought. */
    private void money(DemoShop shop) {
        db.sql("update shop set tax_percent = 19, hour_rate = 88, finding_limit = 400")
                .update();
        hours(shop);
        db.sql("update outwork set price = case when whole_car then 1450 else 280 end")
                .update();
        db.sql("""
                        insert into estimate
                        select b.id, 60 + 25 * (b.position % 4), 2400, 1600, 15, 88, cast(:now as timestamptz) - interval '20 days', 'Mara'
                        from build b where b.customer not like '%team%'""").param("now", Timestamp.from(shop.now())).update();
        db.sql("""
                        insert into payment
                        select 'deposit-' || build_id, build_id, agreed_at, 3000, 'deposit' from estimate""").update();
    }

    /** What a customer must say, by when, and one thing that stays as it was. */
    private void toDecide(DemoShop shop) {
        db.sql("""
                        insert into car_decision (id, build_id, question, asked, due, made_at)
                        select 'decide-harness', id, 'Harness colour', 'Petra Vance-Holm', :due, :now from build where number = '27'""")
                .param("due", Timestamp.from(shop.now().plus(3, ChronoUnit.DAYS)))
                .param("now", Timestamp.from(shop.now()))
                .update();
        db.sql("""
                        insert into car_decision_option values
                            ('decide-harness', 0, 'black, from stock', 240, ''),
                            ('decide-harness', 1, 'red, to order', 310, 'two weeks, nothing waits for it')""").update();
        db.sql("""
                        insert into car_decision (id, build_id, question, chosen, kept, note, decided_at, decided_by, made_at)
                        select 'decide-pads', id, 'Brake pads', 'as last season', true, 'he knows how they bite', :now, 'Mara', :now
                        from build where number = '61'""")
                .param("now", Timestamp.from(shop.now().minus(9, ChronoUnit.DAYS)))
                .update();
    }

    /** A misfire that somebody has looked for. */
    private void fault(DemoShop shop) {
        Instant yesterday = shop.now().minus(20, ChronoUnit.HOURS);
        db.sql("""
                        insert into fault (id, build_id, symptom, noted_at, noted_by)
                        select 'misfire', id, 'Misfire above 5,000 rpm', :at, 'Sef' from build where number = '19'""").param("at", Timestamp.from(yesterday)).update();
        db.sql("""
                        insert into fault_check values
                            ('misfire-1', 'misfire', 'coil 3', 'swapped with 2', 'stays on 3', true, :at, 'Ruth'),
                            ('misfire-2', 'misfire', 'fuel pressure', 'gauge at the rail, on the road', 'holds', true, :at, 'Ruth')""")
                .param("at", Timestamp.from(yesterday.plus(2, ChronoUnit.HOURS)))
                .update();
    }

    private record DoneRow(String id, String skill, int minutes, Instant doneAt) {}

    /** Who was on what is done, at most a shift a day, back from the day on which it was finished. */
    private void hours(DemoShop shop) {
        Map<String, String> who = Map.of(
                "fit", "bo", "weld", "ina", "paint", "ina", "setup", "sef", "wire", "kit", "engines", "ruth", "drive",
                "sef");
        Map<String, Integer> taken = new HashMap<>();
        List<DoneRow> jobs = db.sql("""
                        select j.work_id as id, p.skill, w.done_at,
                            (select count(*) from job_place n where n.work_id = j.work_id) *
                            (j.likely_minutes * case p.skill when 'weld' then 1.3 when 'wire' then 1.15 when 'engines' then 1.05
                                else 0.95 end)::int as minutes
                        from job j join work w on w.id = j.work_id and w.status = 'DONE'
                        join job_place p on p.work_id = j.work_id and p.place = 0
                        order by w.done_at desc, w.position""").query(DoneRow.class).list();
        for (DoneRow job : jobs) {
            String person = who.getOrDefault(job.skill(), "bo");
            int left = job.minutes();
            for (int back = 0; left > 0; back++) {
                Instant at = job.doneAt().minus(back, ChronoUnit.DAYS);
                DayOfWeek weekday = at.atZone(DemoShop.ZONE).getDayOfWeek();
                String day = person + at.atZone(DemoShop.ZONE).toLocalDate();
                int free = weekday.getValue() > 5 ? 0 : SHIFT_MINUTES - taken.getOrDefault(day, 0);
                int minutes = Math.min(left, free);
                if (minutes > 0) {
                    worked(job.id(), person, minutes, at);
                    taken.merge(day, minutes, Integer::sum);
                    left -= minutes;
                }
            }
        }
    }

    private void worked(String work, String person, int minutes, Instant at) {
        db.sql("insert into worked (id, work_id, person_id, minutes, at) values (:id, :work, :person, :minutes, :at)")
                .param("id", NewId.next())
                .param("work", work)
                .param("person", person)
                .param("minutes", minutes)
                .param("at", Timestamp.from(at))
                .update();
    }

    private void shelf(String name, String place, int quantity, int least) {
        db.sql("insert into shelf values (:id, :name, :place, :quantity, :least)")
                .param("id", NewId.next())
                .param("name", name)
                .param("place", place)
                .param("quantity", quantity)
                .param("least", least)
                .update();
    }
}
