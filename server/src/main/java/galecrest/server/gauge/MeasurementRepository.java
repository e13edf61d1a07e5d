package galecrest.server.gauge;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.server.SqlTime;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class MeasurementRepository {
    private static final TypeReference<Map<String, Object>> FIELDS = new TypeReference<>() {};

    private final JdbcClient db;
    private final ObjectMapper json = new ObjectMapper();

    MeasurementRepository(JdbcClient db) {
        this.db = db;
    }

    /** The log of a car, the newest first. */
    List<MeasurementResponse> of(String build) {
        return db.sql("""
                        select m.*, c.id as corrected_by from measurement m
                        left join measurement c on c.corrects_id = m.id
                        where m.build_id = :build order by m.at desc, m.id desc""")
                .param("build", build)
                .query((row, n) -> response(row))
                .list();
    }

    private MeasurementResponse response(ResultSet row) throws SQLException {
        return new MeasurementResponse(
                row.getString("id"),
                row.getString("gauge"),
                row.getString("what"),
                row.getString("value"),
                row.getString("taken_by"),
                row.getTimestamp("at").toInstant(),
                row.getString("stale_because"),
                fields(row.getString("asked")),
                fields(row.getString("answered")),
                row.getObject("driver_in", Boolean.class),
                row.getString("fuel"),
                row.getString("pressures"),
                row.getObject("bars_hooked", Boolean.class),
                row.getString("instrument"),
                row.getString("note"),
                row.getBoolean("shown"),
                row.getString("corrected_by"));
    }

    private @Nullable Map<String, Object> fields(@Nullable String text) {
        try {
            return text == null ? null : json.readValue(text, FIELDS);
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("A measurement in the record cannot be read.", broken);
        }
    }

    private String text(Map<String, Object> fields) {
        try {
            return json.writeValueAsString(fields);
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException(broken);
        }
    }

    /** Whether there is such a sheet of the car that has not been corrected. */
    boolean counts(String id, String build) {
        return db.sql("""
                        select exists (select 1 from measurement m where m.id = :id and m.build_id = :build
                            and not exists (select 1 from measurement c where c.corrects_id = m.id))""")
                .param("id", id)
                .param("build", build)
                .query(Boolean.class)
                .single();
    }

    /**
     * The last sheet of a kind that counts.
     *
     * @param staleBecause the work that has disturbed it since; null where none has
     * @param missed whether it is not as it should be
     */
    record Last(
            String id,
            String gauge,
            String what,
            String value,
            @Nullable String staleBecause,
            boolean missed) {
        boolean stale() {
            return staleBecause != null;
        }
    }

    /** Of each kind the last sheet that counts. */
    List<Last> last(String build) {
        return db.sql("""
                        select id, gauge, what, value, stale_because,
                            coalesce(answered->>'good', answered->>'within tolerance', '') = 'false' as missed
                        from (select distinct on (m.what) m.* from measurement m
                            where m.build_id = :build
                                and not exists (select 1 from measurement c where c.corrects_id = m.id)
                            order by m.what, m.at desc, m.id desc) latest
                        order by at""").param("build", build).query(Last.class).list();
    }

    /** What a sheet of the car is about, in words. */
    Optional<String> said(String id, String build) {
        return db.sql("select what || ': ' || value from measurement where id = :id and build_id = :build")
                .param("id", id)
                .param("build", build)
                .query(String.class)
                .optional();
    }

    boolean isThere(String build, String gauge, String value, Instant at) {
        return db.sql("""
                        select exists (select 1 from measurement
                            where build_id = :build and gauge = :gauge and value = :value
                                and abs(extract(epoch from at - cast(:at as timestamptz))) < 1)""")
                .param("build", build)
                .param("gauge", gauge)
                .param("value", value)
                .param("at", SqlTime.of(at))
                .query(Boolean.class)
                .single();
    }

    void show(String id, boolean shown) {
        db.sql("update measurement set shown = :shown where id = :id")
                .param("id", id)
                .param("shown", shown)
                .update();
    }

    void disturb(String id, String because) {
        db.sql("update measurement set stale_because = :because where id = :id")
                .param("because", because)
                .param("id", id)
                .update();
    }

    void insert(
            String id,
            String build,
            MeasurementRequest form,
            String what,
            String value,
            Map<String, Object> answered,
            String by,
            Instant at) {
        db.sql("""
                        insert into measurement (id, build_id, what, value, taken_by, at, gauge, asked, answered, driver_in,
                            fuel, pressures, bars_hooked, instrument, note, corrects_id)
                        values (:id, :build, :what, :value, :by, :at, :gauge, :asked::jsonb, :answered::jsonb, :driver,
                            :fuel, :pressures, :bars, :instrument, :note, :corrects)""")
                .param("id", id)
                .param("build", build)
                .param("what", what)
                .param("value", value)
                .param("by", by)
                .param("at", SqlTime.of(at))
                .param("gauge", form.gauge())
                .param("asked", text(form.asked()))
                .param("answered", text(answered))
                .param("driver", form.driverIn())
                .param("fuel", said(form.fuel()))
                .param("pressures", said(form.pressures()))
                .param("bars", form.barsHooked())
                .param("instrument", said(form.instrument()))
                .param("note", said(form.note()))
                .param("corrects", form.correctsId())
                .update();
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
