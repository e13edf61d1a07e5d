package galecrest.server.mate;

import galecrest.core.mate.MateKind;
import galecrest.server.NewId;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The joints of parts. */
@Repository
public class MateRepository {
    private final JdbcClient db;

    MateRepository(JdbcClient db) {
        this.db = db;
    }

    /** Those of all parts, by the part. */
    public Map<String, List<MateView>> all() {
        Map<String, List<MateView>> mates = new HashMap<>();
        db.sql("select * from mate order by part_id, position")
                .query((row, n) -> mates.computeIfAbsent(row.getString("part_id"), k -> new ArrayList<>())
                        .add(mate(row)))
                .list();
        return mates;
    }

    /** Those of a part. */
    public List<MateView> of(String part) {
        return db.sql("select * from mate where part_id = :part order by position")
                .param("part", part)
                .query((row, n) -> mate(row))
                .list();
    }

    private static MateView mate(ResultSet row) throws SQLException {
        return FitAssessment.judged(
                row.getString("place"),
                MateKind.valueOf(row.getString("kind")),
                row.getString("car_side"),
                row.getString("part_side"));
    }

    Optional<String> nameOfPart(String id) {
        return db.sql("select name from part where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void save(String part, List<MateRequest> mates) {
        db.sql("delete from mate where part_id = :part").param("part", part).update();
        for (int i = 0; i < mates.size(); i++) {
            MateRequest mate = mates.get(i);
            db.sql("insert into mate values (:id, :part, :place, :kind, :carSide, :partSide, :position)")
                    .param("id", NewId.next())
                    .param("part", part)
                    .param("place", mate.place().strip())
                    .param("kind", mate.kind().name())
                    .param("carSide", mate.carSide().strip())
                    .param("partSide", mate.partSide().strip())
                    .param("position", i)
                    .update();
        }
    }
}
