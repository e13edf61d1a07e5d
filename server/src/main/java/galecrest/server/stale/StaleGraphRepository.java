package galecrest.server.stale;

import galecrest.core.gauge.Disturbance;
import galecrest.core.gauge.Measured;
import galecrest.core.gauge.StaleGraph;
import galecrest.server.NewId;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What disturbs what, as the house has written it down; and what pieces of work carry of it. */
@Repository
class StaleGraphRepository {
    private final JdbcClient db;

    StaleGraphRepository(JdbcClient db) {
        this.db = db;
    }

    private record Row(String id, String label, String words) {}

    private record Edge(String source, String measured) {}

    /** The graph of the house; the usual one where the house has left it so. */
    StaleGraph graph() {
        List<Row> rows = db.sql("select id, label, words from disturbance order by position, id")
                .query(Row.class)
                .list();
        List<Edge> edges = db.sql("select source, measured from disturbs")
                .query(Edge.class)
                .list();
        if (rows.isEmpty() && edges.isEmpty()) {
            return StaleGraph.USUAL;
        }
        Map<String, Set<Measured>> targets = new HashMap<>();
        edges.forEach(
                e -> targets.computeIfAbsent(e.source(), s -> new HashSet<>()).add(Measured.valueOf(e.measured())));
        Map<Measured, Set<Measured>> moves = new EnumMap<>(Measured.class);
        for (Measured one : Measured.values()) {
            if (targets.containsKey(one.name())) {
                moves.put(one, targets.get(one.name()));
            }
        }
        return new StaleGraph(
                rows.stream()
                        .map(r -> new Disturbance(
                                r.id(), r.label(), split(r.words()), targets.getOrDefault(r.id(), Set.of())))
                        .toList(),
                moves);
    }

    private static List<String> split(String words) {
        return Arrays.stream(words.split(","))
                .map(String::strip)
                .filter(w -> !w.isEmpty())
                .toList();
    }

    /** Puts another graph in its place; the usual one is none of the house's own. */
    void write(StaleGraph graph) {
        db.sql("delete from disturbs").update();
        db.sql("delete from disturbance").update();
        if (graph.equals(StaleGraph.USUAL)) {
            return;
        }
        int position = 0;
        List<Edge> edges = new ArrayList<>();
        for (Disturbance one : graph.disturbances()) {
            db.sql("insert into disturbance values (:id, :label, :words, :position)")
                    .param("id", one.id())
                    .param("label", one.label().strip())
                    .param("words", String.join(", ", one.words()))
                    .param("position", position++)
                    .update();
            one.first().forEach(m -> edges.add(new Edge(one.id(), m.name())));
        }
        graph.moves().forEach((m, others) -> others.forEach(o -> edges.add(new Edge(m.name(), o.name()))));
        for (Edge edge : edges) {
            db.sql("insert into disturbs values (:id, :source, :measured)")
                    .param("id", NewId.next())
                    .param("source", edge.source())
                    .param("measured", edge.measured())
                    .update();
        }
    }

    /** A piece of work and what it carries. */
    record Carrier(String id, String name, String buildId, StaleGraph.Carried carried) {}

    private static Carrier carrier(ResultSet row, int number) throws SQLException {
        return new Carrier(
                row.getString("id"),
                row.getString("name"),
                row.getString("build_id"),
                carried(row.getString("disturbs")));
    }

    /** The piece of work of that id; empty where there is none. */
    Optional<Carrier> carrier(String work) {
        return db.sql("select id, name, build_id, disturbs from work where id = :id")
                .param("id", work)
                .query(StaleGraphRepository::carrier)
                .optional();
    }

    /** The work of a build of which somebody has said what it disturbs. */
    List<Carrier> saidOf(String build) {
        return db.sql("select id, name, build_id, disturbs from work where build_id = :build and disturbs is not null")
                .param("build", build)
                .query(StaleGraphRepository::carrier)
                .list();
    }

    private static StaleGraph.Carried carried(@Nullable String said) {
        return said == null ? StaleGraph.Carried.BY_WORDS : new StaleGraph.Carried(true, Set.copyOf(split(said)));
    }

    void carry(String work, StaleGraph.Carried carried) {
        db.sql("update work set disturbs = :disturbs where id = :id")
                .param("id", work)
                .param(
                        "disturbs",
                        carried.said() ? carried.ids().stream().sorted().collect(Collectors.joining(",")) : null)
                .update();
    }
}
