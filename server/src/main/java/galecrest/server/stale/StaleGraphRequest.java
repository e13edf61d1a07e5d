package galecrest.server.stale;

import galecrest.core.gauge.Disturbance;
import galecrest.core.gauge.Measured;
import galecrest.core.gauge.StaleGraph;
import galecrest.server.NewId;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What disturbs what, as it is to be; wholly.
 *
 * @param edition of what was looked at when it was changed
 */
record StaleGraphRequest(String edition, List<ChangedCause> disturbances, Map<Measured, List<Measured>> moves) {
    StaleGraphRequest(
            @Nullable String edition,
            @Nullable List<ChangedCause> disturbances,
            @Nullable Map<Measured, List<Measured>> moves) {
        this.edition = edition == null ? "" : edition;
        this.disturbances = disturbances == null ? List.of() : disturbances;
        this.moves = moves == null ? Map.of() : moves;
    }

    /** A kind of work; without an id where it is new. */
    record ChangedCause(
            @Nullable String id,
            @Nullable String label,
            @Nullable String words,
            @Nullable List<Measured> first) {}

    StaleGraph graph() {
        Map<Measured, Set<Measured>> all = new HashMap<>();
        moves.forEach((m, others) -> {
            if (!others.isEmpty()) {
                all.put(m, Set.copyOf(others));
            }
        });
        return new StaleGraph(
                disturbances.stream()
                        .map(c -> new Disturbance(
                                c.id() == null || c.id().isBlank() ? NewId.next() : c.id(),
                                said(c.label()),
                                Arrays.stream(said(c.words()).split(","))
                                        .map(String::strip)
                                        .filter(w -> !w.isEmpty())
                                        .toList(),
                                c.first() == null ? Set.of() : Set.copyOf(c.first())))
                        .toList(),
                all);
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
