package galecrest.server.gauge;

import galecrest.core.units.QuantityKind;
import galecrest.core.units.UnitSystem;
import galecrest.server.NewId;
import java.util.EnumMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Which units are shown first: of the house under no name, and of each person under theirs. */
@Repository
class UnitsRepository {
    private final JdbcClient db;

    UnitsRepository(JdbcClient db) {
        this.db = db;
    }

    Map<QuantityKind, UnitSystem> of(String username) {
        Map<QuantityKind, UnitSystem> all = new EnumMap<>(QuantityKind.class);
        db.sql("select kind, system from unit_choice where username = :name")
                .param("name", username)
                .query((row, n) ->
                        all.put(QuantityKind.valueOf(row.getString(1)), UnitSystem.valueOf(row.getString(2))))
                .list();
        return all;
    }

    void write(String username, Map<QuantityKind, UnitSystem> choices) {
        db.sql("delete from unit_choice where username = :name")
                .param("name", username)
                .update();
        choices.forEach((kind, system) -> db.sql("insert into unit_choice values (:id, :name, :kind, :system)")
                .param("id", NewId.next())
                .param("name", username)
                .param("kind", kind.name())
                .param("system", system.name())
                .update());
    }
}
