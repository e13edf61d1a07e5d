package galecrest.server.plan;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.plan.Plan;
import galecrest.core.plan.WarmStart;
import galecrest.server.NewId;
import galecrest.server.json.CoreJson;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What people have been told, what each has seen of it, and the order that the last long thinking came to. */
@Repository
class PublishedRepository {
    private static final ObjectMapper CORE = CoreJson.mapper();

    private final JdbcClient db;
    private final ObjectMapper json;
    /** The plan and the order read last: both are asked for with each change, and seldom are others. */
    private volatile @Nullable Told known;

    private volatile @Nullable ReadGuide knownGuide;

    private volatile @Nullable ReadPlan knownTaken;

    private record ReadPlan(String text, Plan plan) {}

    private record ReadGuide(String text, WarmStart guide) {}

    PublishedRepository(JdbcClient db, ObjectMapper json) {
        this.db = db;
        this.json = json;
    }

    /** A published plan, under its id. */
    record Told(String id, Instant at, String by, Plan plan) {}

    Optional<Told> last() {
        Told last = known;
        Optional<String> id = db.sql(
                        "select id from published_plan order by change_id desc nulls last, at desc limit 1")
                .query(String.class)
                .optional();
        if (last != null && id.equals(Optional.of(last.id()))) {
            return Optional.of(last);
        }
        Optional<Told> read = id.flatMap(this::find);
        known = read.orElse(null);
        return read;
    }

    Optional<Told> find(String id) {
        return db.sql("select * from published_plan where id = :id")
                .param("id", id)
                .query(this::told)
                .optional();
    }

    Optional<PlanService.Published> lastPublished() {
        return db.sql(
                        "select at, by_name, coalesce(change_id, 0) as change_id from published_plan order by change_id desc nulls last, at desc limit 1")
                .query((row, n) -> new PlanService.Published(
                        row.getTimestamp("at").toInstant(), row.getString("by_name"), row.getLong("change_id")))
                .optional();
    }

    private Told told(ResultSet row, int n) throws SQLException {
        return new Told(
                row.getString("id"),
                row.getTimestamp("at").toInstant(),
                row.getString("by_name"),
                StoredPlan.read(json, row.getString("plan")));
    }

    int publish(Plan plan, Instant at, String by) {
        return db.sql("insert into published_plan (id, at, by_name, plan) values (:id, :at, :by, :plan::jsonb)")
                .param("id", NewId.next())
                .param("at", Timestamp.from(at))
                .param("by", by)
                .param("plan", StoredPlan.write(json, plan))
                .update();
    }

    /** The better plan that was taken since the last one was published. */
    Optional<Plan> taken() {
        return db.sql("select plan from taken_plan")
                .query(String.class)
                .optional()
                .map(this::readTaken);
    }

    private Plan readTaken(String text) {
        ReadPlan last = knownTaken;
        if (last != null && last.text().equals(text)) {
            return last.plan();
        }
        Plan plan = StoredPlan.read(json, text);
        knownTaken = new ReadPlan(text, plan);
        return plan;
    }

    void take(Plan plan) {
        db.sql("""
                        insert into taken_plan (plan) values (:plan::jsonb)
                        on conflict (id) do update set plan = excluded.plan""").param("plan", StoredPlan.write(json, plan)).update();
    }

    /** What was taken is published with the rest. */
    void clearTaken() {
        db.sql("delete from taken_plan").update();
    }

    /** The id of the published plan that an account has seen last. */
    Optional<String> seenBy(String username) {
        return db.sql("select plan_id from plan_seen where username = :username")
                .param("username", username)
                .query(String.class)
                .optional();
    }

    void markSeen(String username, String plan, Instant at) {
        db.sql("""
                        insert into plan_seen (username, plan_id, at) values (:username, :plan, :at)
                        on conflict (username) do update set plan_id = excluded.plan_id, at = excluded.at""")
                .param("username", username)
                .param("plan", plan)
                .param("at", Timestamp.from(at))
                .update();
    }

    Optional<WarmStart> guide() {
        return db.sql("select guide from plan_guide")
                .query(String.class)
                .optional()
                .map(this::read);
    }

    private WarmStart read(String text) {
        ReadGuide last = knownGuide;
        if (last != null && last.text().equals(text)) {
            return last.guide();
        }
        try {
            WarmStart guide = CORE.readValue(text, WarmStart.class);
            knownGuide = new ReadGuide(text, guide);
            return guide;
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The guide cannot be read.", e);
        }
    }

    void saveGuide(WarmStart guide) {
        try {
            db.sql("""
                            insert into plan_guide (guide) values (:guide::jsonb)
                            on conflict (id) do update set guide = excluded.guide""").param("guide", CORE.writeValueAsString(guide)).update();
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
