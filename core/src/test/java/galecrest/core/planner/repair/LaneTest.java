package galecrest.core.planner.repair;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** A lane against a plain list of what was put in and taken out. */
class LaneTest {
    private record Stretch(int node, int from, int to) {}

    @Property(tries = 300)
    void findsWhatOverlaps(@ForAll @LongRange(min = 0) long seed) {
        Random random = new Random(seed);
        Lane lane = new Lane();
        List<Stretch> plain = new ArrayList<>();
        for (int node = 0; node < 60; node++) {
            int from = random.nextInt(200);
            Stretch stretch = new Stretch(node, from, from + 1 + random.nextInt(random.nextInt(8) == 0 ? 150 : 20));
            lane.add(stretch.from(), stretch.to(), new Lane.Claim(node, 0, Lane.NONE, 0, Lane.NONE));
            plain.add(stretch);
            if (random.nextInt(3) == 0) {
                Stretch gone = plain.remove(random.nextInt(plain.size()));
                lane.remove(gone.node(), gone.from());
            }
            int a = random.nextInt(220) - 10;
            int b = a + 1 + random.nextInt(40);
            List<Integer> found = new ArrayList<>();
            assertThat(lane.overlaps(a, b, (claim, start, end) -> found.add(claim.node())))
                    .isTrue();
            assertThat(found)
                    .containsExactlyInAnyOrderElementsOf(plain.stream()
                            .filter(s -> s.from() < b && s.to() > a)
                            .map(Stretch::node)
                            .toList());
            assertThat(edges(lane, a, b)).isEqualTo(edges(plain, a, b));
        }
    }

    private static Set<Integer> edges(Lane lane, int a, int b) {
        int[] slots = new int[500];
        int many = lane.edges(a, b, slots, 0);
        Set<Integer> edges = new TreeSet<>();
        for (int i = 0; i < many; i++) {
            edges.add(slots[i]);
        }
        return edges;
    }

    private static Set<Integer> edges(List<Stretch> plain, int a, int b) {
        Set<Integer> edges = new TreeSet<>(Comparator.naturalOrder());
        plain.stream().filter(s -> s.from() < b && s.to() > a).forEach(s -> edges.addAll(List.of(s.from(), s.to())));
        edges.removeIf(slot -> slot <= a || slot >= b);
        return edges;
    }
}
