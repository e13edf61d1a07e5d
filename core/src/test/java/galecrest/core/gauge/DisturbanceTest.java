package galecrest.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What disturbs what; the dependencies are common practice. */
class DisturbanceTest {
    @Test
    void aStrutSpacerDisturbsTheChassisInTheOrderOfMeasuring() {
        assertThat(staleBy("Strut spacer fitted"))
                .containsExactly(
                        Measured.DROOP,
                        Measured.HEIGHTS,
                        Measured.CORNER_WEIGHTS,
                        Measured.BUMP_STEER,
                        Measured.CAMBER_CASTER,
                        Measured.LINK_LENGTHS,
                        Measured.TOE,
                        Measured.CLASS_CHECK);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Springs fitted | HEIGHTS, CORNER_WEIGHTS, BUMP_STEER, CAMBER_CASTER, TOE, BALANCE, CLASS_CHECK",
                "Wheel bearings and hubs | BUMP_STEER, CAMBER_CASTER, TOE, PANEL_GAPS",
                "Engine and gearbox out | CLUTCH_STOP, THROTTLE_STOP, FLUID_LEVELS, MOUNT_TORQUE",
                "Engine in for good | CLUTCH_STOP, THROTTLE_STOP, FLUID_LEVELS, MOUNT_TORQUE",
                "Fuel lines and leak test | LEAK_TEST",
                "Calipers rebuilt | LEAK_TEST, BRAKE_PEDAL",
                "Engine loom in | CIRCUITS, CHARGING",
                "Exhaust manifold and downpipe | MAP",
                "Gear ratios for the track | GEARING",
                "Wash and strip panels | ''",
                "Camera mount | ''",
                "Engine inspection | ''",
                "Bloom of the paint | ''"
            })
    void jobsDisturbByTheirWords(String job, String measured) {
        assertThat(String.join(", ", staleBy(job).stream().map(Enum::name).toList()))
                .isEqualTo(measured);
    }

    private static List<Measured> staleBy(String job) {
        return StaleGraph.USUAL.stale(StaleGraph.USUAL.in(job));
    }

    @Test
    void aJobThatSaysWhatItDoesIsNotAskedByItsWords() {
        StaleGraph.Carried wiring = new StaleGraph.Carried(true, Set.of("wiring"));
        StaleGraph.Carried nothing = new StaleGraph.Carried(true, Set.of());
        assertThat(StaleGraph.USUAL.stale(StaleGraph.USUAL.of(wiring, "Strut spacer fitted")))
                .containsExactly(Measured.CIRCUITS, Measured.CHARGING);
        assertThat(StaleGraph.USUAL.of(nothing, "Strut spacer fitted")).isEmpty();
        assertThat(StaleGraph.USUAL.of(StaleGraph.Carried.BY_WORDS, "Strut spacer fitted"))
                .hasSize(1);
    }

    /** A house of another tongue writes its own words. */
    @Test
    void wordsAreOfAnyTongue() {
        Disturbance own = new Disturbance("a", "Fahrwerk", List.of("Höhe", "стойка"), Set.of(Measured.HEIGHTS));
        assertThat(own.isIn("neue höhe eingestellt")).isTrue();
        assertThat(own.isIn("Стойка заменена")).isTrue();
        assertThat(own.isIn("Höhenmesser")).isFalse();
    }

    @Test
    void whatIsUsualHasNothingWrongWithIt() {
        assertThat(StaleGraph.USUAL.problems()).isEmpty();
    }

    /** What is stale after a change is all that can be reached from it, as counted by steps over a matrix (Warshall). */
    @Property
    void staleIsAllThatFollows(@ForAll @Size(max = 40) List<@Size(2) List<Measured>> edges, @ForAll Measured start) {
        Measured[] all = Measured.values();
        boolean[][] reach = new boolean[all.length][all.length];
        Map<Measured, Set<Measured>> moves = new EnumMap<>(Measured.class);
        for (List<Measured> edge : edges) {
            if (edge.get(0).compareTo(edge.get(1)) < 0) {
                moves.computeIfAbsent(edge.get(0), m -> new HashSet<>()).add(edge.get(1));
                reach[edge.get(0).ordinal()][edge.get(1).ordinal()] = true;
            }
        }
        for (int k = 0; k < all.length; k++) {
            for (int i = 0; i < all.length; i++) {
                for (int j = 0; j < all.length; j++) {
                    reach[i][j] |= reach[i][k] && reach[k][j];
                }
            }
        }
        Disturbance one = new Disturbance("x", "x", List.of("x"), Set.of(start));
        StaleGraph graph = new StaleGraph(List.of(one), moves);
        List<Measured> expected = Arrays.stream(all)
                .filter(m -> m == start || reach[start.ordinal()][m.ordinal()])
                .toList();
        assertThat(graph.problems()).isEmpty();
        assertThat(graph.stale(graph.disturbances())).isEqualTo(expected);
    }

    @Test
    void aGraphWithoutWorkOrWithStrangeNamesIsRefused() {
        assertThat(new StaleGraph(List.of(), Map.of()).problems())
                .anyMatch(p -> p.field().equals("disturbances"));
        Disturbance strange = new Disturbance("a,b", "A", List.of("a"), Set.of());
        assertThat(new StaleGraph(List.of(strange, strange), Map.of()).problems())
                .extracting(p -> p.field())
                .containsExactly(
                        "disturbances[0].id", "disturbances[1].label", "disturbances[1].id", "disturbances[1].id");
    }

    @Test
    void whatWouldBeMeasuredTwiceIsRefused() {
        StaleGraph graph =
                new StaleGraph(StaleGraph.USUAL.disturbances(), Map.of(Measured.TOE, Set.of(Measured.HEIGHTS)));
        assertThat(graph.problems()).singleElement().satisfies(p -> assertThat(p.field())
                .isEqualTo("moves.TOE"));
    }

    @Test
    void sheetsAreKnownByTheirGaugeAndNotesByTheirWords() {
        assertThat(Measured.CORNER_WEIGHTS.is("corner-weights", "Corner weights"))
                .isTrue();
        assertThat(Measured.TOE.is("strings", "Alignment by strings")).isTrue();
        assertThat(Measured.CAMBER_CASTER.is("", "Alignment")).isTrue();
        assertThat(List.of(Measured.values())).noneMatch(m -> m.is("", "Colour of the roof"));
    }
}
