package galecrest.server.demo;

import galecrest.core.build.Gate;
import galecrest.core.component.Counter;
import galecrest.core.gate.GateBook;
import galecrest.core.gate.GateLine;
import galecrest.core.load.LoadItem;
import galecrest.server.NewId;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Gates, steps, fires and components of the demo shop. */
@Repository
class DemoRollOutRepository {
    private static final double SECONDS_AN_HOUR = 3_600;

    private final JdbcClient db;

    DemoRollOutRepository(JdbcClient db) {
        this.db = db;
    }

    /** A name under every line of a gate that takes one. */
    void signed(String build, Gate gate, Instant at) {
        GateBook.USUAL.stream()
                .filter(l -> l.gate() == gate && l.asks() == GateLine.Asks.SIGNED)
                .forEach(l -> db.sql("insert into gate_signature values (:id, :build, :key, 'Sef', :at, null)")
                        .param("id", NewId.next())
                        .param("build", build)
                        .param("key", l.key())
                        .param("at", Timestamp.from(at))
                        .update());
    }

    /** The car was taken past a gate of which all was so. */
    void passed(String build, Gate gate, Instant at) {
        db.sql("insert into gate_passing values (:id, :build, :gate, 'Bo', 'Sef', :at, :met, '')")
                .param("id", NewId.next())
                .param("build", build)
                .param("gate", gate.name())
                .param("at", Timestamp.from(at))
                .param(
                        "met",
                        GateBook.USUAL.stream()
                                .filter(l -> l.gate() == gate)
                                .map(GateLine::key)
                                .collect(Collectors.joining("\n")))
                .update();
    }

    /** A try at a step that is over, with the fire that it was; returns its id. */
    String tried(
            String build, String step, Instant at, int seconds, boolean done, String seen, double km, boolean warm) {
        String id = NewId.next();
        Instant ended = at.plusSeconds(seconds);
        db.sql("""
                        insert into rollout_attempt
                            (id, build_id, step, driver, looker, opened_at, went_at, ended_at, done, seen, km, extremes)
                        values (:id, :build, :step, 'Bo', 'Sef', :opened, :at, :ended, :done, :seen, :km,
                            'oil pressure 1.62 bar at least, water 91 °C at most')""")
                .param("id", id)
                .param("build", build)
                .param("step", step)
                .param("opened", Timestamp.from(at.minusSeconds(600)))
                .param("at", Timestamp.from(at))
                .param("ended", Timestamp.from(ended))
                .param("done", done)
                .param("seen", seen)
                .param("km", km)
                .update();
        db.sql("""
                        insert into fire (id, build_id, attempt_id, at, seconds, oil_pressure, stopped_because, leaked, warm, by_name)
                        values (:id, :build, :id, :at, :seconds, '3.1 bar', :because, :leaked, :warm, 'Bo')""")
                .param("id", id)
                .param("build", build)
                .param("at", Timestamp.from(ended))
                .param("seconds", seconds)
                .param("because", done ? "" : seen)
                .param("leaked", done ? "" : seen)
                .param("warm", warm)
                .update();
        used(build, ended, seconds / SECONDS_AN_HOUR, km, 0, warm, step, "fire:" + id);
        return id;
    }

    /** A use of a car. */
    void used(String build, Instant at, double hours, double km, int events, boolean warm, String what, String source) {
        db.sql("""
                        insert into car_use (id, build_id, at, hours, km, events, fires, warm, what, source, by_name)
                        values (:id, :build, :at, :hours, :km, :events, 1, :warm, :what, :source, 'Bo')""")
                .param("id", NewId.next())
                .param("build", build)
                .param("at", Timestamp.from(at))
                .param("hours", hours)
                .param("km", km)
                .param("events", events)
                .param("warm", warm)
                .param("what", what)
                .param("source", source)
                .update();
    }

    /** A try that is open, with some of its checks ticked. */
    void open(String build, String step, Instant at, List<String> ticked) {
        String id = NewId.next();
        db.sql(
                        "insert into rollout_attempt (id, build_id, step, driver, opened_at) values (:id, :build, :step, 'Bo', :at)")
                .param("id", id)
                .param("build", build)
                .param("step", step)
                .param("at", Timestamp.from(at))
                .update();
        for (int i = 0; i < ticked.size(); i++) {
            db.sql("insert into rollout_tick values (:id, :attempt, :check, false, :by, :at)")
                    .param("id", NewId.next())
                    .param("attempt", id)
                    .param("check", ticked.get(i))
                    .param("by", i % 2 == 0 ? "Bo" : "Sef")
                    .param("at", Timestamp.from(at.plusSeconds(180L * (i + 1))))
                    .update();
        }
    }

    /** Something found, the job that puts it right, and before which step that is due. */
    void found(String build, String what, String during, @Nullable String before, String work, Instant at) {
        db.sql("""
                        insert into rollout_finding (id, build_id, what, during, before_step, work_id, at, by_name)
                        values (:id, :build, :what, :during, :before, :work, :at, 'Sef')""")
                .param("id", NewId.next())
                .param("build", build)
                .param("what", what)
                .param("during", during)
                .param("before", before)
                .param("work", work)
                .param("at", Timestamp.from(at))
                .update();
    }

    /** A component on a car; returns its id. */
    String component(
            String build,
            String name,
            String identity,
            double hours,
            double events,
            @Nullable LocalDate expires,
            boolean safety,
            Instant since) {
        String id = NewId.next();
        db.sql("""
                        insert into component (id, name, identity, before_hours, before_events, expires, safety)
                        values (:id, :name, :identity, :hours, :events, :expires, :safety)""")
                .param("id", id)
                .param("name", name)
                .param("identity", identity)
                .param("hours", hours)
                .param("events", events)
                .param("expires", expires)
                .param("safety", safety)
                .update();
        db.sql("insert into component_fitting values (:fitting, :id, :build, '', :since, null)")
                .param("fitting", NewId.next())
                .param("id", id)
                .param("build", build)
                .param("since", Timestamp.from(since))
                .update();
        return id;
    }

    void limit(String component, Counter counter, double most, boolean service) {
        db.sql("insert into component_limit values (:id, :component, :counter, :most, :service)")
                .param("id", NewId.next())
                .param("component", component)
                .param("counter", counter.name())
                .param("most", most)
                .param("service", service)
                .update();
    }

    /** An event with its car, whose date is there already; returns its id. */
    String event(String name, String place, String className, String build, Instant loads, Instant back) {
        String id = NewId.next();
        db.sql("""
                        insert into event (id, name, place, class_name, loads_at, back_at, most_sets, most_new, uses)
                        values (:id, :name, :place, :class, :loads, :back, 6, 2, 2)""")
                .param("id", id)
                .param("name", name)
                .param("place", place)
                .param("class", className)
                .param("loads", Timestamp.from(loads))
                .param("back", Timestamp.from(back))
                .update();
        goes(id, build, false, name);
        return id;
    }

    /** A car goes along; its date is the one of that name. */
    void goes(String event, String build, boolean spare, String date) {
        db.sql("""
                        insert into event_car (id, event_id, build_id, spare, driver, commitment_id)
                        values (:id, :event, :build, :spare, '',
                            (select id from commitment where build_id = :build and name = :date))""")
                .param("id", NewId.next())
                .param("event", event)
                .param("build", build)
                .param("spare", spare)
                .param("date", date)
                .update();
    }

    void session(String event, String name, String kind, Instant start, int minutes, double km) {
        db.sql("insert into event_session values (:id, :event, :name, :kind, :start, :minutes, :km)")
                .param("id", NewId.next())
                .param("event", event)
                .param("name", name)
                .param("kind", kind)
                .param("start", Timestamp.from(start))
                .param("minutes", minutes)
                .param("km", km)
                .update();
    }

    /** A run of a test day; no changes for a baseline. */
    void run(String event, String build, int position, String changes, int value, boolean dry) {
        db.sql("""
                        insert into test_run (id, event_id, build_id, position, changes, value, dry)
                        values (:id, :event, :build, :position, :changes, :value, :dry)""")
                .param("id", NewId.next())
                .param("event", event)
                .param("build", build)
                .param("position", position)
                .param("changes", changes)
                .param("value", value)
                .param("dry", dry)
                .update();
    }

    void tyres(String build, String name, String kind, String state, int cycles, LocalDate madeOn) {
        db.sql("""
                        insert into tyre_set (id, build_id, name, kind, state, cycles, made_on)
                        values (:id, :build, :name, :kind, :state, :cycles, :made)""")
                .param("id", NewId.next())
                .param("build", build)
                .param("name", name)
                .param("kind", kind)
                .param("state", state)
                .param("cycles", cycles)
                .param("made", madeOn)
                .update();
    }

    /** Puts things on the load list of an event; those up to some place are aboard already. */
    void load(String event, List<LoadItem> items, int aboard, double payload, Instant at) {
        for (int i = 0; i < items.size(); i++) {
            LoadItem item = items.get(i);
            String id = NewId.next();
            db.sql("insert into load_item values (:id, :event, :box, :name, :quantity, :mass, :position)")
                    .param("id", id)
                    .param("event", event)
                    .param("box", item.box())
                    .param("name", item.name())
                    .param("quantity", item.quantity())
                    .param("mass", item.kilograms())
                    .param("position", i)
                    .update();
            if (i % 2 == 0 && i < aboard) {
                db.sql("insert into load_tick values (:id, 'Sef', :at)")
                        .param("id", id)
                        .param("at", Timestamp.from(at))
                        .update();
            }
        }
        db.sql("insert into load_trailer (id, event_id, payload_kg) values (:id, :event, :payload)")
                .param("id", NewId.next())
                .param("event", event)
                .param("payload", payload)
                .update();
    }
}
