package galecrest.server.stale;

import galecrest.core.gauge.Measured;
import galecrest.core.gauge.StaleGraph;
import java.util.Arrays;
import java.util.List;

/**
 * What disturbs what.
 *
 * @param edition changes with anything in it
 * @param usual whether the house has left it as it usually is
 */
record StaleGraphResponse(String edition, boolean usual, List<Cause> disturbances, List<Thing> measured) {
    record Cause(String id, String label, String words, List<Measured> first) {}

    /** What is measured, in the order of measuring, and what no longer holds where it has changed. */
    record Thing(Measured name, String label, List<Measured> moves) {}

    static StaleGraphResponse of(StaleGraph graph) {
        var moves = graph.ordered();
        return new StaleGraphResponse(
                edition(graph),
                graph.equals(StaleGraph.USUAL),
                graph.disturbances().stream()
                        .map(d -> new Cause(
                                d.id(),
                                d.label(),
                                String.join(", ", d.words()),
                                d.first().stream().sorted().toList()))
                        .toList(),
                Arrays.stream(Measured.values())
                        .map(m -> new Thing(m, m.label(), moves.getOrDefault(m, List.of())))
                        .toList());
    }

    static String edition(StaleGraph graph) {
        StringBuilder all = new StringBuilder();
        graph.disturbances().forEach(d -> all.append(d.id())
                .append(d.label())
                .append(d.words())
                .append(d.first().stream().sorted().toList()));
        return Integer.toHexString(all.append(graph.ordered()).toString().hashCode());
    }
}
