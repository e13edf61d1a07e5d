package galecrest.server.demo;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.all.Gauges;
import galecrest.server.NewId;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What was measured at the cars of the demo shop: sheets of gauges, and a few notes by hand. */
@Repository
class DemoMeasurementRepository {
    private final JdbcClient db;
    private final ObjectMapper json = new ObjectMapper();

    DemoMeasurementRepository(JdbcClient db) {
        this.db = db;
    }

    /** Something noted by hand. */
    void noted(String build, String what, String value, Instant at, @Nullable String stale) {
        db.sql("insert into measurement values (:id, :build, :what, :value, 'Sef', :at, :stale)")
                .param("id", NewId.next())
                .param("build", build)
                .param("what", what)
                .param("value", value)
                .param("at", Timestamp.from(at))
                .param("stale", stale)
                .update();
    }

    /** The car on four pads, with its driver or without. */
    void weighed(String build, List<String> pads, boolean driver, Instant at, @Nullable String stale) {
        Map<String, Object> asked = new HashMap<>();
        asked.put("pads", pads);
        asked.put("wheelbase", "2350 mm");
        asked.put("front track", "1420 mm");
        asked.put("rear track", "1400 mm");
        asked.put("wheel rate", List.of("32 N/mm", "32 N/mm", "36 N/mm", "36 N/mm"));
        asked.put("motion ratio", List.of("0.9", "0.9", "0.95", "0.95"));
        asked.put("pitch", "1.5 mm");
        asked.put("target", "50 %");
        asked.put("tolerance", "0.3 %");
        sheet(build, "corner-weights", asked, driver, at, stale);
    }

    /** What a gauge answers, filed. */
    void sheet(
            String build, String name, Map<String, Object> asked, boolean driver, Instant at, @Nullable String stale) {
        Gauge gauge = Gauges.named(name).orElseThrow();
        GaugeAnswer answer = gauge.answer(GaugeRequest.of(asked));
        db.sql("""
                        insert into measurement (id, build_id, what, value, taken_by, at, stale_because, gauge, asked, answered,
                            driver_in, fuel, pressures, bars_hooked, instrument)
                        values (:id, :build, :what, :value, 'Sef', :at, :stale, :gauge, :asked::jsonb, :answered::jsonb,
                            :driver, '20 L', '1.6 bar', false, 'pads A–D')""")
                .param("id", NewId.next())
                .param("build", build)
                .param("what", gauge.title())
                .param("value", gauge.headline(answer))
                .param("at", Timestamp.from(at))
                .param("stale", stale)
                .param("gauge", name)
                .param("asked", text(asked))
                .param("answered", text(answer.values()))
                .param("driver", driver)
                .update();
    }

    /** A note of the car's log. */
    void felt(String build, Instant at, String place, String driver, String felt, String changed) {
        db.sql("""
                        insert into car_note (id, build_id, at, place, driver, felt, changed, by_name)
                        values (:id, :build, :at, :place, :driver, :felt, :changed, 'Sef')""")
                .param("id", NewId.next())
                .param("build", build)
                .param("at", Timestamp.from(at))
                .param("place", place)
                .param("driver", driver)
                .param("felt", felt)
                .param("changed", changed)
                .update();
    }

    /** A class, each limit as measure, kind, least, most and tolerance. */
    void limits(String name, List<List<String>> limits) {
        for (int i = 0; i < limits.size(); i++) {
            List<String> limit = limits.get(i);
            db.sql("""
                            insert into class_limit (id, class_name, position, measure, kind, least, most, tolerance)
                            values (:id, :name, :position, :measure, :kind, :least, :most, :tolerance)""")
                    .param("id", NewId.next())
                    .param("name", name)
                    .param("position", i)
                    .param("measure", limit.get(0))
                    .param("kind", limit.get(1))
                    .param("least", limit.get(2))
                    .param("most", limit.get(3))
                    .param("tolerance", limit.get(4))
                    .update();
        }
    }

    private String text(Map<String, Object> fields) {
        try {
            return json.writeValueAsString(fields);
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException(broken);
        }
    }
}
