package galecrest.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import galecrest.core.people.PersonId;
import galecrest.core.planner.Planner;
import galecrest.core.shop.Problem;
import galecrest.core.shop.StationId;
import galecrest.core.work.Link;
import galecrest.core.work.LinkId;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.jgrapht.alg.cycle.CycleDetector;
import org.jgrapht.graph.DefaultDirectedGraph;
import org.jgrapht.graph.DefaultEdge;
import org.junit.jupiter.api.Test;

/** What makes a snapshot impossible to plan, each named; circles of links against JGraphT's cycle detector. */
class SnapshotValidatorTest {
    private static ShopSnapshot shop() {
        return Shops.shop()
                .person("bo", "fit")
                .station("lift 1", "lift")
                .job("weld", "car", 60, "fit")
                .job("paint", "car", 60, "fit")
                .after("weld", "paint")
                .snapshot();
    }

    private static Link link(String id, String first, String then) {
        return new Link(
                new LinkId(id),
                new WorkId(first),
                new WorkId(then),
                Link.Type.FINISH_START,
                Link.Lag.NONE,
                Optional.empty());
    }

    private static ShopSnapshot with(ShopSnapshot shop, Link... more) {
        List<Link> links = new ArrayList<>(shop.links());
        links.addAll(List.of(more));
        return shop.withLinks(links);
    }

    private static List<String> said(ShopSnapshot shop) {
        return SnapshotValidator.problems(shop).stream().map(Problem::message).toList();
    }

    @Test
    void aSoundShopHasNoProblems() {
        assertThat(SnapshotValidator.problems(shop())).isEmpty();
    }

    @Test
    void linksToNothing() {
        assertThat(said(with(shop(), link("x", "weld", "chrome"))))
                .containsExactly("There is nothing with the id chrome.");
    }

    @Test
    void anIdUsedTwice() {
        ShopSnapshot shop = shop();
        List<Work> works = new ArrayList<>(shop.works());
        works.add(works.get(0));
        assertThat(said(shop.withWorks(works))).contains("The id weld is used twice.");
    }

    @Test
    void twoLinksOfOneKind() {
        assertThat(said(with(shop(), link("x", "weld", "paint"))))
                .containsExactly("Two links of one kind tie weld to paint.");
    }

    @Test
    void pinsToWhatIsNotThere() {
        ShopSnapshot shop = shop().withPins(List.of(
                new Pin.ToPerson(new PinId("1"), new WorkId("weld"), new PersonId("nobody")),
                new Pin.ToStation(new PinId("2"), new WorkId("weld"), new StationId("nowhere")),
                new Pin.After(new PinId("3"), new WorkId("weld"), new WorkId("nothing"))));
        assertThat(said(shop))
                .containsExactly(
                        "There is nothing with the id nobody.",
                        "There is nothing with the id nowhere.",
                        "There is nothing with the id nothing.");
    }

    @Test
    void aCircleIsSaidByTheNamesOnIt() {
        ShopSnapshot shop = with(shop(), link("x", "paint", "weld"));
        assertThat(said(shop)).containsExactly("The links close a circle: weld → paint → weld");
        assertThatThrownBy(() -> Planner.plan(shop, PlanOptions.once()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("weld → paint → weld");
    }

    @Property(tries = 300)
    void circlesAreFoundWhereJGraphTFindsThem(@ForAll @LongRange(min = 0) long seed) {
        Random random = new Random(seed);
        int count = 2 + random.nextInt(12);
        Shops shops = Shops.shop().person("bo", "fit");
        DefaultDirectedGraph<String, DefaultEdge> graph = new DefaultDirectedGraph<>(DefaultEdge.class);
        for (int i = 0; i < count; i++) {
            shops.job("j" + i, "car", 10, "fit");
            graph.addVertex("j" + i);
        }
        List<Link> links = new ArrayList<>();
        Set<List<String>> ties = new HashSet<>();
        for (int i = 0; i < count; i++) {
            String first = "j" + random.nextInt(count);
            String then = "j" + random.nextInt(count);
            if (!first.equals(then) && ties.add(List.of(first, then))) {
                links.add(link("l" + i, first, then));
                graph.addEdge(first, then);
            }
        }
        ShopSnapshot shop = shops.snapshot();
        Optional<List<String>> circle = SnapshotValidator.circle(shop.works(), links);
        assertThat(circle.isPresent()).isEqualTo(new CycleDetector<>(graph).detectCycles());
        circle.ifPresent(names -> {
            assertThat(names.get(0)).isEqualTo(names.get(names.size() - 1));
            for (int i = 1; i < names.size(); i++) {
                assertThat(graph.containsEdge(names.get(i - 1), names.get(i))).isTrue();
            }
        });
    }
}
