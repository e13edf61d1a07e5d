package galecrest.core.trackday;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class TestDayTest {
    private static TestRun run(String id, int value, boolean dry, String... changes) {
        return new TestRun(id, List.of(changes), value, dry, false);
    }

    private static List<String> ids(List<TestRun> runs) {
        return runs.stream().map(TestRun::id).toList();
    }

    @Test
    void baselineFirstThenWhatMattersMostAndTheBaselineAgainAtTheEnd() {
        List<TestRun> runs = List.of(
                run("wing", 1, false, "wing one hole"),
                run("base", 2, false),
                run("bar", 3, false, "rear bar softer"),
                run("again", 2, false),
                run("tyres", 2, true, "pressures 0.1 bar lower"));
        assertThat(ids(TestDay.order(runs, false))).containsExactly("base", "bar", "tyres", "wing", "again");
        assertThat(ids(TestDay.order(runs, true))).containsExactly("base", "tyres", "bar", "wing", "again");
        assertThat(TestDay.remarks(TestDay.order(runs, true))).isEmpty();
    }

    @Test
    void whatIsWrongWithAPlanIsSaid() {
        assertThat(TestDay.remarks(
                        List.of(run("a", 1, false, "rear bar", "wing"), run("b", 1, false), run("c", 1, false, "toe"))))
                .containsExactly(
                        "There is no baseline first: nothing tells what a change did.",
                        "Run 1 changes 2 things at once: neither can be judged alone.",
                        "No baseline at the end: the track changes over a day, and nothing tells how much.");
        assertThatThrownBy(() -> run("a", 4, false)).hasMessageContaining("1 to 3");
    }

    /** No run is lost; what was driven stays where it was; with rain no dry run stands behind one that can wait. */
    @Property(tries = 300)
    void orderKeepsAll(@ForAll long seed) {
        Random random = new Random(seed);
        List<TestRun> runs = new ArrayList<>();
        for (int i = 0; i < random.nextInt(9); i++) {
            runs.add(new TestRun(
                    "r" + i,
                    random.nextInt(4) == 0 ? List.of() : List.of("c" + i),
                    1 + random.nextInt(3),
                    random.nextBoolean(),
                    random.nextInt(3) == 0));
        }
        Collections.shuffle(runs, random);
        boolean rain = random.nextBoolean();
        List<TestRun> order = TestDay.order(runs, rain);
        assertThat(order).hasSameSizeAs(runs);
        assertThat(new HashSet<>(order)).isEqualTo(new HashSet<>(runs));
        assertThat(order.stream().filter(TestRun::done).toList())
                .isEqualTo(runs.stream().filter(TestRun::done).toList());
        List<TestRun> open =
                order.stream().filter(r -> !r.done() && !r.isBaseline()).toList();
        for (int i = 1; i < open.size(); i++) {
            TestRun before = open.get(i - 1);
            TestRun then = open.get(i);
            if (rain && before.dry() != then.dry()) {
                assertThat(before.dry()).isTrue();
            } else {
                assertThat(before.value()).isGreaterThanOrEqualTo(then.value());
            }
        }
        assertThat(TestDay.order(order, rain)).isEqualTo(order);
    }

    @Test
    void everyImpactHasWhatToLookAtNearAndFar() {
        for (AfterImpact where : AfterImpact.values()) {
            assertThat(where.looks()).hasSizeGreaterThan(6);
            assertThat(where.looks()).extracting(AfterImpact.Look::what).doesNotHaveDuplicates();
            assertThat(where.looks().get(where.looks().size() - 1).what()).startsWith("Brakes");
        }
        assertThat(UsualInspection.LINES).doesNotHaveDuplicates().hasSizeGreaterThan(12);
    }
}
