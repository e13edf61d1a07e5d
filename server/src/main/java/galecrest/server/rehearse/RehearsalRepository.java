package galecrest.server.rehearse;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rehearsals in the database: where each began and what was decided, from which all of it follows. */
@Repository
class RehearsalRepository {
    /** So many of one person are kept. */
    private static final int KEPT = 10;

    private final JdbcClient db;

    RehearsalRepository(JdbcClient db) {
        this.db = db;
    }

    /** Where a rehearsal began and what was decided. */
    record RehearsalRow(
            String id,
            String madeBy,
            long seed,
            String weather,
            int turns,
            int turn,
            String shop,
            String decisions,
            @Nullable String result) {}

    void insert(RehearsalRow row, Instant now) {
        db.sql("""
                        insert into rehearsal (id, made_by, made_at, seed, weather, turns, shop)
                        values (:id, :by, :at, :seed, :weather, :turns, :shop)""")
                .param("id", row.id())
                .param("by", row.madeBy())
                .param("at", Timestamp.from(now))
                .param("seed", row.seed())
                .param("weather", row.weather())
                .param("turns", row.turns())
                .param("shop", row.shop())
                .update();
        db.sql("""
                        delete from rehearsal where made_by = :by and id not in (
                            select id from rehearsal where made_by = :by order by made_at desc, id limit :kept)""").param("by", row.madeBy()).param("kept", KEPT).update();
    }

    Optional<RehearsalRow> find(String id, String by) {
        return db.sql("""
                        select id, made_by, seed, weather, turns, turn, shop, decisions, result from rehearsal
                        where id = :id and made_by = :by""")
                .param("id", id)
                .param("by", by)
                .query(RehearsalRow.class)
                .optional();
    }

    /** False where it has been played on already: of two that come at once, one. */
    boolean playOn(String id, int turn, String decisions) {
        return db.sql("update rehearsal set turn = turn + 1, decisions = :decisions where id = :id and turn = :turn")
                        .param("id", id)
                        .param("turn", turn)
                        .param("decisions", decisions)
                        .update()
                > 0;
    }

    void end(String id, String result) {
        db.sql("update rehearsal set result = :result where id = :id")
                .param("id", id)
                .param("result", result)
                .update();
    }
}
