package galecrest.core.insight;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.shop.HouseRules;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import java.util.Locale;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.jgrapht.alg.shortestpath.BellmanFordShortestPath;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleDirectedWeightedGraph;
import org.junit.jupiter.api.Test;

class LowerBoundTest {
    @Test
    void itIsTheLongestChainOrTheWorkOfASkillSharedOut() {
        Shops shops = Shops.shop()
                .person("bo", "fit")
                .person("al", "fit")
                .job("a", "six", 60, "fit", Shops.JobShape.bench())
                .job("b", "six", 120, "fit", Shops.JobShape.bench())
                .after("a", "b");
        assertThat(LowerBound.makespan(shops.snapshot())).isEqualTo(180);
        shops.job("c", "six", 400, "fit", Shops.JobShape.bench());
        assertThat(LowerBound.makespan(shops.snapshot())).isEqualTo(400);
        shops.job("d", "six", 400, "fit", Shops.JobShape.bench());
        assertThat(LowerBound.makespan(shops.snapshot())).as("980 min of two").isEqualTo(490);
    }

    @Test
    void latenessIsThatOfEachDateAloneByItsKindAndWeight() {
        Shops shops = Shops.shop();
        // The shop is open from 8 to 16: 20 h of work from Monday 8:00 on are done on Wednesday at 12:00.
        ShopSnapshot shop = shops.person("bo", "fit")
                .job("a", "six", 1200, "fit")
                .due("race", "six", Commitment.Kind.EVENT, shops.instant(2, 10, 0), 2)
                .due("promise", "six", Commitment.Kind.PROMISE, shops.instant(1, 16, 0), 1)
                .snapshot();
        assertThat(LowerBound.lateness(shop)).isEqualTo("4.00/4.00");
    }

    /** The longest chain alone, by the shortest path over negative lengths (Bellman, 1958; Ford, 1956). */
    @Property(tries = 100)
    void withHandsForAllItIsTheLongestPathOfJGraphT(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
        Random random = new Random(seed);
        Shops shops = Shops.shop();
        var graph = new SimpleDirectedWeightedGraph<String, DefaultWeightedEdge>(DefaultWeightedEdge.class);
        graph.addVertex("start");
        graph.addVertex("end");
        int count = 2 + random.nextInt(10);
        int[] minutes = random.ints(count, 1, 30).map(m -> 5 * m).toArray();
        for (int i = 0; i < count; i++) {
            shops.person("p" + i, "s" + i).job("j" + i, "car", minutes[i], "s" + i, Shops.JobShape.bench());
            graph.addVertex("j" + i);
            graph.setEdgeWeight(graph.addEdge("start", "j" + i), 0);
            graph.setEdgeWeight(graph.addEdge("j" + i, "end"), -minutes[i]);
        }
        for (int i = 0; i < count; i++) {
            for (int k = i + 1; k < count; k++) {
                if (random.nextInt(3) == 0) {
                    shops.after("j" + i, "j" + k);
                    graph.setEdgeWeight(graph.addEdge("j" + i, "j" + k), -minutes[i]);
                }
            }
        }
        double longest = -new BellmanFordShortestPath<>(graph).getPathWeight("start", "end");
        assertThat(LowerBound.makespan(shops.snapshot())).isEqualTo((long) longest);
    }

    @Property(tries = 150)
    void noPlanIsBetter(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 4 + (int) (seed % 25));
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        String[] bound = LowerBound.lateness(shop).split("/");
        if (plan.unplanned().isEmpty()) {
            assertThat(plan.score().hardLateness() + 0.01).isGreaterThanOrEqualTo(Double.parseDouble(bound[0]));
            assertThat(plan.score().promisedLateness() + 0.01).isGreaterThanOrEqualTo(Double.parseDouble(bound[1]));
        }
    }

    @Test
    void aPlanWithNothingInItsWayMeetsTheBound() {
        for (int count = 1; count <= 6; count++) {
            Shops shops = Shops.shop().person("bo", "fit");
            for (int i = 0; i < count; i++) {
                shops.job("j" + i, "car", 300, "fit", Shops.JobShape.bench());
            }
            ShopSnapshot shop =
                    shops.due("race", "car", shops.instant(0, 12, 0)).snapshot();
            Plan plan = Planner.plan(shop, PlanOptions.once());
            assertThat(plan.unplanned()).isEmpty();
            long work = shop.works().stream()
                    .filter(w -> w instanceof Job && w.status() != Status.DONE)
                    .count();
            assertThat(LowerBound.makespan(shop)).isEqualTo(300 * work);
            assertThat(plan.score().hardLateness())
                    .as("%s of %d in a row", HouseRules.datesOnly(), count)
                    .isEqualTo(Math.max(0, 5.0 * count - 4));
            assertThat(LowerBound.lateness(shop)).isEqualTo(String.format(Locale.ROOT, "%.2f/0.00", 1.0));
        }
    }
}
