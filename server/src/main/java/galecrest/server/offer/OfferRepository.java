package galecrest.server.offer;

import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.plan.Plan;
import galecrest.server.NewId;
import galecrest.server.plan.StoredPlan;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Offers and what was said to them. An offer itself is no change of the record; what is said to it is, and can be undone. */
@Repository
class OfferRepository {
    private static final String SELECT = """
            select o.id, o.at, o.dates, o.gain, o.plan, coalesce(a.state, 'OPEN') as state
            from offer o left join offer_answer a on a.offer_id = o.id
            """;

    private final JdbcClient db;
    private final ObjectMapper json;

    OfferRepository(JdbcClient db, ObjectMapper json) {
        this.db = db;
        this.json = json;
    }

    /** Puts a plan on offer; one that nobody has answered yet is replaced by it. */
    String insert(Plan plan, String dates, double gain, Instant at) {
        db.sql("delete from offer o where not exists (select 1 from offer_answer a where a.offer_id = o.id)")
                .update();
        String id = NewId.next();
        db.sql("insert into offer (id, at, dates, gain, plan) values (:id, :at, :dates, :gain, :plan::jsonb)")
                .param("id", id)
                .param("at", Timestamp.from(at))
                .param("dates", dates)
                .param("gain", gain)
                .param("plan", StoredPlan.write(json, plan))
                .update();
        return id;
    }

    Optional<OfferRow> find(String id) {
        return db.sql(SELECT + "where o.id = :id")
                .param("id", id)
                .query(this::row)
                .optional();
    }

    /** Those that may still be taken, the newest first. */
    List<OfferRow> standing() {
        return db.sql(SELECT + "where coalesce(a.state, 'OPEN') in ('OPEN', 'KEPT') order by o.at desc, o.id limit 5")
                .query(this::row)
                .list();
    }

    /** What the best dismissed offer for any of the dates was worth to who dismissed it; empty where none was. */
    Optional<Double> dismissed(String dates) {
        return db.sql("""
                        select max(coalesce(a.gain, o.gain)) from offer o join offer_answer a on a.offer_id = o.id
                        where a.state = 'DISMISSED'
                            and string_to_array(o.dates, ' ') && string_to_array(:dates, ' ')""")
                .param("dates", dates)
                .query((row, n) -> Optional.ofNullable(row.getObject(1, Double.class)))
                .single();
    }

    /** The house rule by which better plans are taken without asking; empty where there is none. */
    Optional<TakingRule> rule() {
        return db.sql("select take_gain_hours, take_after_days from shop where take_gain_hours > 0")
                .query((row, n) -> new TakingRule(row.getInt("take_gain_hours"), row.getInt("take_after_days")))
                .optional();
    }

    /** @param gain what it is worth now */
    void answer(String id, OfferState state, double gain) {
        db.sql("""
                        insert into offer_answer (offer_id, state, gain) values (:id, :state, :gain)
                        on conflict (offer_id) do update set state = excluded.state, gain = excluded.gain""")
                .param("id", id)
                .param("state", state.name())
                .param("gain", gain)
                .update();
    }

    private OfferRow row(ResultSet row, int n) throws SQLException {
        return new OfferRow(
                row.getString("id"),
                row.getTimestamp("at").toInstant(),
                OfferState.valueOf(row.getString("state")),
                row.getString("dates"),
                row.getDouble("gain"),
                StoredPlan.read(json, row.getString("plan")));
    }
}
