package galecrest.server.build;

import java.sql.Timestamp;
import java.sql.Types;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Who and what goes along to a date. */
@Repository
class OutingRepository {
    private final JdbcClient db;

    OutingRepository(JdbcClient db) {
        this.db = db;
    }

    /** Keeps just this of a date; nothing where that is null. */
    void keep(String date, @Nullable OutingRequest outing) {
        db.sql("update commitment set back_at = :back where id = :id and back_at is distinct from :back")
                .param("id", date)
                .param("back", outing == null ? null : Timestamp.from(outing.back()), Types.TIMESTAMP)
                .update();
        along("outing_person", "person_id", date, outing == null ? List.of() : outing.crew());
        along("outing_station", "station_id", date, outing == null ? List.of() : outing.takes());
    }

    private void along(String table, String column, String date, List<String> ids) {
        db.sql("delete from " + table + " where commitment_id = :date and not " + column + " = any(:ids)")
                .param("date", date)
                .param("ids", ids.toArray(String[]::new))
                .update();
        db.sql("insert into " + table + " select :date, id from unnest(:ids) as id on conflict do nothing")
                .param("date", date)
                .param("ids", ids.toArray(String[]::new))
                .update();
    }

    /** Of people, who goes along to another date in the time: their name and that date. */
    Optional<String> personElsewhere(String date, Instant from, OutingRequest outing) {
        return elsewhere("outing_person", "person", "person_id", date, from, outing.back(), outing.crew());
    }

    /** The same of stations. */
    Optional<String> stationElsewhere(String date, Instant from, OutingRequest outing) {
        return elsewhere("outing_station", "station", "station_id", date, from, outing.back(), outing.takes());
    }

    private Optional<String> elsewhere(
            String table, String of, String column, String date, Instant from, Instant to, List<String> ids) {
        return db.sql("select t.name || ' is away then with ' || trim(b.number || ' ' || b.name) || ', at ' || c.name"
                        + " from " + table + " o join " + of + " t on t.id = o." + column
                        + " join commitment c on c.id = o.commitment_id join build b on b.id = c.build_id"
                        + " where c.id <> :date and o." + column + " = any(:ids)"
                        + " and c.due < :to and :from < c.back_at order by c.due, t.name limit 1")
                .param("date", date)
                .param("ids", ids.toArray(String[]::new))
                .param("from", Timestamp.from(from))
                .param("to", Timestamp.from(to))
                .query(String.class)
                .optional();
    }
}
