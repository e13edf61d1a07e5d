package galecrest.server.carsheet;

import galecrest.server.NewId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class ClassRepository {
    private final JdbcClient db;

    ClassRepository(JdbcClient db) {
        this.db = db;
    }

    /** Every class by its name. */
    List<ClassResponse> all() {
        Map<String, List<ClassLimit>> classes = new LinkedHashMap<>();
        db.sql("select * from class_limit order by class_name, position")
                .query((row, n) -> {
                    classes.computeIfAbsent(row.getString("class_name"), c -> new ArrayList<>())
                            .add(new ClassLimit(
                                    row.getString("measure"),
                                    row.getString("kind"),
                                    row.getString("least"),
                                    row.getString("most"),
                                    row.getString("tolerance")));
                    return null;
                })
                .list();
        return classes.entrySet().stream()
                .map(e -> new ClassResponse(e.getKey(), e.getValue()))
                .toList();
    }

    void write(String name, List<ClassLimit> limits) {
        db.sql("delete from class_limit where class_name = :name")
                .param("name", name)
                .update();
        int position = 0;
        for (ClassLimit limit : limits) {
            db.sql("""
                            insert into class_limit (id, class_name, position, measure, kind, least, most, tolerance)
                            values (:id, :name, :position, :measure, :kind, :least, :most, :tolerance)""")
                    .param("id", NewId.next())
                    .param("name", name)
                    .param("position", position++)
                    .param("measure", limit.measure().strip())
                    .param("kind", limit.kind())
                    .param("least", limit.least().strip())
                    .param("most", limit.most().strip())
                    .param("tolerance", limit.tolerance().strip())
                    .update();
        }
    }
}
