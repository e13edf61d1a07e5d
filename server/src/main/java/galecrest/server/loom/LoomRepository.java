package galecrest.server.loom;

import galecrest.core.loom.LoomModule;
import galecrest.core.loom.LoomTree;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class LoomRepository {
    private final JdbcClient db;

    LoomRepository(JdbcClient db) {
        this.db = db;
    }

    /** The job that waits, and the version of the tree. */
    record Head(@Nullable String workId, int version) {}

    Optional<Head> head(String build) {
        return db.sql("select work_id, version from loom where build_id = :build")
                .param("build", build)
                .query(Head.class)
                .optional();
    }

    /** A module as it is kept. */
    record Module(
            String id,
            String name,
            String kind,
            LoomModule.Decision decision,
            Set<String> needs,
            double mass,
            String note,
            @Nullable String by,
            @Nullable Instant at,
            int version) {
        LoomModule core() {
            return new LoomModule(id, name, decision, needs, mass);
        }
    }

    List<Module> modules(String build) {
        return db.sql("""
                        select m.*, array(select on_id from loom_module_need n where n.module_id = m.id order by on_id) as needs
                        from loom_module m where build_id = :build order by name""")
                .param("build", build)
                .query((row, n) -> {
                    Timestamp at = row.getTimestamp("decided_at");
                    return new Module(
                            row.getString("id"),
                            row.getString("name"),
                            row.getString("kind"),
                            LoomModule.Decision.valueOf(row.getString("decision")),
                            Set.of((String[]) row.getArray("needs").getArray()),
                            row.getDouble("mass"),
                            row.getString("note"),
                            row.getString("decided_by"),
                            at == null ? null : at.toInstant(),
                            row.getInt("version"));
                })
                .list();
    }

    Optional<String> carOf(String module) {
        return db.sql("select build_id from loom_module where id = :id")
                .param("id", module)
                .query(String.class)
                .optional();
    }

    /** Inserts a module, or writes over it where there is an id. */
    String write(
            @Nullable String id,
            String build,
            ModuleRequest form,
            double mass,
            @Nullable String by,
            @Nullable Instant at) {
        String row = id == null ? NewId.next() : id;
        db.sql(id == null ? """
                        insert into loom_module (id, build_id, name, kind, decision, mass, note, decided_by, decided_at)
                        values (:id, :build, :name, :kind, :decision, :mass, :note, :by, :at)""" : """
                        update loom_module set name = :name, kind = :kind, decision = :decision, mass = :mass, note = :note,
                            decided_by = :by, decided_at = :at where id = :id and build_id = :build""")
                .param("id", row)
                .param("build", build)
                .param("name", form.name().strip())
                .param("kind", form.kind())
                .param("decision", form.decision().name())
                .param("mass", mass)
                .param("note", form.note() == null ? "" : form.note().strip())
                .param("by", by)
                .param("at", at == null ? null : SqlTime.of(at))
                .update();
        needs(row, form.needs() == null ? List.of() : form.needs());
        return row;
    }

    private void needs(String module, List<String> needs) {
        db.sql("delete from loom_module_need where module_id = :id and not (on_id = any(:needs))")
                .param("id", module)
                .param("needs", needs.toArray(String[]::new))
                .update();
        needs.forEach(on -> db.sql("insert into loom_module_need values (:id, :on) on conflict do nothing")
                .param("id", module)
                .param("on", on)
                .update());
    }

    void remove(String module) {
        db.sql("delete from loom_module where id = :id").param("id", module).update();
    }

    void waits(String build, @Nullable String work) {
        db.sql("""
                        insert into loom (build_id, work_id) values (:build, :work)
                        on conflict (build_id) do update set work_id = excluded.work_id""").param("build", build).param("work", work).update();
    }

    Optional<String> openWork(String id, String build) {
        return db.sql("select name from work where id = :id and build_id = :build and status <> 'DONE'")
                .param("id", id)
                .param("build", build)
                .query(String.class)
                .optional();
    }

    /** What a work is held with; empty where it is not held, or done. */
    Optional<String> heldWith(String work) {
        return db.sql("select hold_note from work where id = :id and status <> 'DONE' and hold_note is not null")
                .param("id", work)
                .query(String.class)
                .optional();
    }

    /** A wire as it is kept. */
    record Wire(String circuit, String fromName, String toName, String size, String colour) {}

    LoomTree tree(String build) {
        return new LoomTree(
                db.sql("select name, from_name, length from loom_point where build_id = :build order by position")
                        .param("build", build)
                        .query((row, n) -> new LoomTree.Point(row.getString(1), row.getString(2), row.getDouble(3)))
                        .list());
    }

    List<Wire> wires(String build) {
        return db.sql("""
                        select circuit, from_name, to_name, size, colour from loom_wire
                        where build_id = :build order by position""").param("build", build).query(Wire.class).list();
    }

    /** Writes the tree and its wires anew. */
    void tree(String build, LoomTree tree, List<Wire> wires) {
        db.sql("""
                        insert into loom (build_id) values (:build)
                        on conflict (build_id) do update set build_id = excluded.build_id""").param("build", build).update();
        db.sql("delete from loom_point where build_id = :build")
                .param("build", build)
                .update();
        db.sql("delete from loom_wire where build_id = :build")
                .param("build", build)
                .update();
        for (int i = 0; i < tree.points().size(); i++) {
            LoomTree.Point point = tree.points().get(i);
            db.sql("insert into loom_point values (:build, :position, :name, :from, :length)")
                    .param("build", build)
                    .param("position", i)
                    .param("name", point.name())
                    .param("from", point.from())
                    .param("length", point.length())
                    .update();
        }
        for (int i = 0; i < wires.size(); i++) {
            Wire wire = wires.get(i);
            db.sql("insert into loom_wire values (:build, :position, :circuit, :from, :to, :size, :colour)")
                    .param("build", build)
                    .param("position", i)
                    .param("circuit", wire.circuit())
                    .param("from", wire.fromName())
                    .param("to", wire.toName())
                    .param("size", wire.size())
                    .param("colour", wire.colour())
                    .update();
        }
    }
}
