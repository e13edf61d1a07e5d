package galecrest.core.loom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.loom.LoomModule.Decision;
import galecrest.core.loom.LoomTree.Point;
import galecrest.core.shop.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import org.junit.jupiter.api.Test;

class LoomTest {
    /** Against the shortest way of JGraphT, which in a tree is the only one. */
    @Property(tries = 200)
    void waysAreThoseOfTheTree(@ForAll long seed) {
        Random random = new Random(seed);
        int size = 2 + random.nextInt(20);
        List<Point> points = new ArrayList<>(List.of(new Point("p0", "", 0)));
        var graph = new SimpleWeightedGraph<String, DefaultWeightedEdge>(DefaultWeightedEdge.class);
        graph.addVertex("p0");
        for (int i = 1; i < size; i++) {
            String from = "p" + random.nextInt(i);
            double length = 0.05 + random.nextDouble();
            points.add(new Point("p" + i, from, length));
            graph.addVertex("p" + i);
            graph.setEdgeWeight(graph.addEdge(from, "p" + i), length);
        }
        LoomTree tree = new LoomTree(points);
        assertThat(tree.problems()).isEmpty();
        String a = "p" + random.nextInt(size);
        String b = "p" + random.nextInt(size);
        LoomTree.Way way = tree.way(a, b).orElseThrow();
        var other = new DijkstraShortestPath<>(graph).getPath(a, b);
        assertThat(way.length()).isCloseTo(other.getWeight(), within(1e-9));
        assertThat(way.points()).isEqualTo(other.getVertexList());
        assertThat(tree.way(a, "nowhere")).isEmpty();
    }

    private static List<String> wrong(Point... points) {
        return new LoomTree(List.of(points))
                .problems().stream().map(Problem::field).toList();
    }

    @Test
    void whatIsNoTreeIsNamed() {
        assertThat(wrong(new Point("ecu", "", 0), new Point("ecu", "ecu", 1))).containsExactly("points.1.name");
        assertThat(wrong(new Point("ecu", "", 0), new Point("dash", "", 0)))
                .containsExactly("points.0.from", "points.1.from");
        assertThat(wrong(new Point("ecu", "", 0), new Point("dash", "bulkhead", 1)))
                .containsExactly("points.1.from");
        assertThat(wrong(new Point("ecu", "", 0), new Point("dash", "ecu", 0))).containsExactly("points.1.length");
        assertThat(wrong(new Point("ecu", "", 0), new Point("a", "b", 1), new Point("b", "a", 1)))
                .containsExactly("points.1.from", "points.2.from");
    }

    @Test
    void whatStaysAndNeedsWhatGoesIsShown() {
        LoomDecisions decisions = LoomDecisions.of(List.of(
                new LoomModule("1", "wheel speeds", Decision.TAKE_OUT, Set.of(), 1.1),
                new LoomModule("2", "speedometer", Decision.KEEP, Set.of("1"), 0.4),
                new LoomModule("3", "alarm", Decision.TAKE_OUT, Set.of("1"), 0.9),
                new LoomModule("4", "heater", Decision.UNDECIDED, Set.of("1"), 6)));
        assertThat(decisions.broken()).containsExactly("speedometer stays and needs wheel speeds, which is taken out");
        assertThat(decisions.undecided()).containsExactly("heater");
        assertThat(decisions.saved()).isCloseTo(2.0, within(1e-9));
    }
}
