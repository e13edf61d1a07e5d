package galecrest.core.planner.network;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.Zone;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.time.Minutes;
import galecrest.core.work.Link;
import java.time.Duration;
import java.time.LocalTime;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.jgrapht.alg.shortestpath.BellmanFordShortestPath;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleDirectedWeightedGraph;

/** With hands enough around the clock a plan is as long as the longest path, which JGraphT finds. */
class CriticalPathTest {
    private static final int JOBS = 12;

    @Property(tries = 150)
    void aPlanWithoutLimitsIsAsLongAsTheLongestPath(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
        Random random = new Random(seed);
        Shops shops = Shops.shop();
        var graph = new SimpleDirectedWeightedGraph<String, DefaultWeightedEdge>(DefaultWeightedEdge.class);
        graph.addVertex("end");
        for (int i = 0; i < JOBS; i++) {
            int minutes = 5 * (1 + random.nextInt(60));
            shops.person("p" + i, "s" + i, LocalTime.MIDNIGHT, LocalTime.MIDNIGHT)
                    .job(
                            "j" + i,
                            "car",
                            minutes,
                            "s" + i,
                            Shops.JobShape.bench().and(Shops.JobShape.zone(Zone.REAR)));
            graph.addVertex("j" + i);
            graph.setEdgeWeight(graph.addEdge("j" + i, "end"), -minutes);
            for (int j = 0; j < i; j++) {
                if (random.nextInt(4) == 0) {
                    int lag = 5 * random.nextInt(20);
                    shops.link(
                            "j" + j,
                            "j" + i,
                            Link.Type.FINISH_START,
                            new Link.Lag(Minutes.of(lag), false),
                            Optional.empty());
                    int length = (int) -graph.getEdgeWeight(graph.getEdge("j" + j, "end"));
                    graph.setEdgeWeight(graph.addEdge("j" + j, "j" + i), -(length + lag));
                }
            }
        }
        graph.addVertex("start");
        for (int i = 0; i < JOBS; i++) {
            graph.setEdgeWeight(graph.addEdge("start", "j" + i), 0);
        }
        double longest = -new BellmanFordShortestPath<>(graph).getPathWeight("start", "end");
        ShopSnapshot shop = shops.snapshot();
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        long makespan = plan.placed().stream()
                .mapToLong(p -> Duration.between(shop.now(), p.ready()).toMinutes())
                .max()
                .orElseThrow();
        assertThat((double) makespan).isEqualTo(longest);
    }
}
