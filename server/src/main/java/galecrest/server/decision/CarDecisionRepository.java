package galecrest.server.decision;

import galecrest.server.SqlTime;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class CarDecisionRepository {
    private final JdbcClient db;

    CarDecisionRepository(JdbcClient db) {
        this.db = db;
    }

    /** A row of what is to be decided. */
    record DecisionRow(
            String id,
            String question,
            String asked,
            @Nullable Instant due,
            @Nullable String chosen,
            boolean kept,
            String note,
            @Nullable Instant decidedAt,
            @Nullable String decidedBy) {}

    private record OptionRow(String decisionId, CarDecisionResponse.OptionView option) {}

    List<DecisionRow> decisions(String build) {
        return db.sql("""
                        select id, question, asked, due, chosen, kept, note, decided_at, decided_by from car_decision
                        where build_id = :build order by decided_at nulls first, due nulls last, made_at, id""").param("build", build).query(DecisionRow.class).list();
    }

    Map<String, List<CarDecisionResponse.OptionView>> options(String build) {
        Map<String, List<CarDecisionResponse.OptionView>> options = new HashMap<>();
        db.sql("""
                        select o.decision_id, o.name, o.price, o.effect from car_decision_option o
                        join car_decision d on d.id = o.decision_id
                        where d.build_id = :build order by o.decision_id, o.position""")
                .param("build", build)
                .query((row, n) -> new OptionRow(
                        row.getString("decision_id"),
                        new CarDecisionResponse.OptionView(
                                row.getString("name"), row.getBigDecimal("price"), row.getString("effect"))))
                .list()
                .forEach(o -> options.computeIfAbsent(o.decisionId(), d -> new ArrayList<>())
                        .add(o.option()));
        return options;
    }

    /** The job at which somebody asks. */
    record AskedAt(String buildId, String name) {}

    Optional<AskedAt> askedAt(String work) {
        return db.sql("select build_id, name from work where id = :id")
                .param("id", work)
                .query(AskedAt.class)
                .optional();
    }

    /** The question of a decision, where it is open. */
    Optional<String> open(String id) {
        return db.sql("select question from car_decision where id = :id and decided_at is null")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void insert(String id, String build, CarDecisionRequest form, Instant now) {
        db.sql("""
                        insert into car_decision (id, build_id, question, asked, due, made_at)
                        values (:id, :build, :question, :asked, :due, :now)""")
                .param("id", id)
                .param("build", build)
                .param("question", form.question().strip())
                .param("asked", form.asked().strip())
                .param("due", SqlTime.of(form.due()))
                .param("now", Timestamp.from(now))
                .update();
        for (int i = 0; i < form.options().size(); i++) {
            CarDecisionRequest.Option option = form.options().get(i);
            db.sql("insert into car_decision_option values (:id, :position, :name, :price, :effect)")
                    .param("id", id)
                    .param("position", i)
                    .param("name", option.name().strip())
                    .param("price", option.price())
                    .param("effect", option.effect().strip())
                    .update();
        }
    }

    void decide(String id, DecideRequest form, String by, Instant now) {
        db.sql("""
                        update car_decision set chosen = :chosen, kept = :kept, note = :note, decided_by = :by, decided_at = :now
                        where id = :id""")
                .param("id", id)
                .param("chosen", form.chosen().strip())
                .param("kept", form.kept())
                .param("note", form.note().strip())
                .param("by", by)
                .param("now", Timestamp.from(now))
                .update();
    }

    boolean delete(String id) {
        return db.sql("delete from car_decision where id = :id").param("id", id).update() > 0;
    }
}
