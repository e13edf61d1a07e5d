package galecrest.server.load;

import galecrest.core.load.LoadItem;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class LoadRepository {
    private final JdbcClient db;

    LoadRepository(JdbcClient db) {
        this.db = db;
    }

    /** What an event is called; empty where it is gone. */
    Optional<String> event(String id) {
        return db.sql("select name from event where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    /** The things of an event by their boxes. */
    List<LoadResponse.LoadItemResponse> items(String event) {
        return db.sql("""
                        select i.id, i.box, i.name, i.quantity, i.mass_kg as kilograms, t.by_name as by, r.back
                        from load_item i left join load_tick t on t.item_id = i.id
                        left join load_return r on r.item_id = i.id
                        where i.event_id = :event order by i.box, i.position, i.id""")
                .param("event", event)
                .query(LoadResponse.LoadItemResponse.class)
                .list();
    }

    LoadResponse load(String event) {
        List<LoadResponse.LoadItemResponse> items = items(event);
        return db.sql("select * from load_trailer where event_id = :event")
                .param("event", event)
                .query((row, n) -> new LoadResponse(
                        items,
                        row.getDouble("payload_kg"),
                        SqlTime.instant(row, "left_at"),
                        row.getString("left_by"),
                        row.getString("without"),
                        row.getTimestamp("used_listed_at") != null))
                .optional()
                .orElseGet(() -> new LoadResponse(items, 0, null, "", "", false));
    }

    /** False where the box holds such a thing already. */
    boolean insert(String event, LoadItem item) {
        return db.sql("""
                        insert into load_item (id, event_id, box, name, quantity, mass_kg, position)
                        select :id, :event, :box, :name, :quantity, :mass,
                            (select coalesce(max(position), 0) + 1 from load_item where event_id = :event)
                        where not exists (select 1 from load_item
                            where event_id = :event and box = :box and name = :name)""")
                        .param("id", NewId.next())
                        .param("event", event)
                        .param("box", item.box())
                        .param("name", item.name())
                        .param("quantity", item.quantity())
                        .param("mass", item.kilograms())
                        .update()
                > 0;
    }

    /** What a thing is called, how many of it go aboard, and whether the trailer has left; empty where it is gone. */
    Optional<Thing> item(String id) {
        return db.sql("""
                        select i.name, i.quantity, t.left_at is not null as left
                        from load_item i left join load_trailer t on t.event_id = i.event_id where i.id = :id""").param("id", id).query(Thing.class).optional();
    }

    /** A thing on the list. */
    record Thing(String name, int quantity, boolean left) {}

    void delete(String id) {
        db.sql("delete from load_item where id = :id").param("id", id).update();
    }

    void tick(String id, String by, Instant at) {
        db.sql("insert into load_tick (item_id, by_name, at) values (:id, :by, :at) on conflict (item_id) do nothing")
                .param("id", id)
                .param("by", by)
                .param("at", SqlTime.of(at))
                .update();
    }

    void untick(String id) {
        db.sql("delete from load_tick where item_id = :id").param("id", id).update();
    }

    /** Counts what came back of a thing; null takes the count away. */
    void back(String id, @Nullable Integer back, String by, Instant at) {
        if (back == null) {
            db.sql("delete from load_return where item_id = :id")
                    .param("id", id)
                    .update();
            return;
        }
        db.sql("""
                        insert into load_return (item_id, back, by_name, at) values (:id, :back, :by, :at)
                        on conflict (item_id) do update set back = excluded.back, by_name = excluded.by_name, at = excluded.at""")
                .param("id", id)
                .param("back", back)
                .param("by", by)
                .param("at", SqlTime.of(at))
                .update();
    }

    /** False where what was used has been listed already. */
    boolean usedListed(String event, Instant at) {
        return db.sql("update load_trailer set used_listed_at = :at where event_id = :event and used_listed_at is null")
                        .param("event", event)
                        .param("at", SqlTime.of(at))
                        .update()
                > 0;
    }

    void payload(String event, double kilograms) {
        db.sql("""
                        insert into load_trailer (id, event_id, payload_kg) values (:id, :event, :payload)
                        on conflict (event_id) do update set payload_kg = excluded.payload_kg""")
                .param("id", NewId.next())
                .param("event", event)
                .param("payload", kilograms)
                .update();
    }

    void left(String event, Instant at, String by, String without) {
        db.sql("""
                        insert into load_trailer (id, event_id, left_at, left_by, without)
                        values (:id, :event, :at, :by, :without)
                        on conflict (event_id)
                            do update set left_at = excluded.left_at, left_by = excluded.left_by, without = excluded.without""")
                .param("id", NewId.next())
                .param("event", event)
                .param("at", SqlTime.of(at))
                .param("by", by)
                .param("without", without)
                .update();
    }

    /** What the cars of an event are called, and how many sessions it has. */
    List<String> cars(String event) {
        return db.sql("""
                        select coalesce(nullif(b.number, ''), b.name) from event_car c join build b on b.id = c.build_id
                        where c.event_id = :event order by c.spare, b.position""").param("event", event).query(String.class).list();
    }

    int sessions(String event) {
        return db.sql("select count(*) from event_session where event_id = :event")
                .param("event", event)
                .query(Integer.class)
                .single();
    }

    /** The sets of tyres of the cars of an event. */
    List<String> sets(String event) {
        return db.sql("""
                        select t.name from tyre_set t join event_car c on c.build_id = t.build_id
                        where c.event_id = :event order by t.name""").param("event", event).query(String.class).list();
    }
}
