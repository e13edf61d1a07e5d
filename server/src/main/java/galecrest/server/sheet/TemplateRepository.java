package galecrest.server.sheet;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Templates of the house in the database. */
@Repository
class TemplateRepository {
    private final JdbcClient db;

    TemplateRepository(JdbcClient db) {
        this.db = db;
    }

    /** A template of the house: a job sheet under a name. */
    record TemplateRow(String id, String name, String sheet, int version) {}

    List<TemplateRow> all() {
        return db.sql("select id, name, sheet, version from house_template order by lower(name), id")
                .query(TemplateRow.class)
                .list();
    }

    Optional<TemplateRow> find(String id) {
        return db.sql("select id, name, sheet, version from house_template where id = :id")
                .param("id", id)
                .query(TemplateRow.class)
                .optional();
    }

    boolean isNamed(String name, String except) {
        return db.sql("select exists (select 1 from house_template where lower(name) = lower(:name) and id <> :except)")
                .param("name", name)
                .param("except", except)
                .query(Boolean.class)
                .single();
    }

    void insert(String id, String name, String sheet) {
        db.sql("insert into house_template (id, name, sheet) values (:id, :name, :sheet)")
                .param("id", id)
                .param("name", name)
                .param("sheet", sheet)
                .update();
    }

    /** False where the version is not the one that is there. */
    boolean update(String id, String name, String sheet, int version) {
        return db.sql("update house_template set name = :name, sheet = :sheet where id = :id and version = :version")
                        .param("id", id)
                        .param("name", name)
                        .param("sheet", sheet)
                        .param("version", version)
                        .update()
                > 0;
    }

    void delete(String id) {
        db.sql("delete from house_template where id = :id").param("id", id).update();
    }
}
