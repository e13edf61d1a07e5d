package galecrest.server.stale;

import galecrest.core.gauge.Disturbance;
import galecrest.core.gauge.Measured;
import galecrest.core.gauge.StaleGraph;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What disturbs what in this house, and what each piece of work disturbs. */
@Service
public class StaleGraphService {
    private final StaleGraphRepository record;
    private final Journal journal;

    StaleGraphService(StaleGraphRepository record, Journal journal) {
        this.record = record;
        this.journal = journal;
    }

    @AnyHand
    StaleGraphResponse graph() {
        return StaleGraphResponse.of(record.graph());
    }

    @ManagerOnly
    void change(StaleGraphRequest form) {
        StaleGraph graph = form.graph();
        if (!graph.problems().isEmpty()) {
            throw new ValidationException(graph.problems());
        }
        replace(form.edition(), graph, "changed what disturbs what");
    }

    /** Leaves it as it usually is. */
    @ManagerOnly
    void usual() {
        replace(null, StaleGraph.USUAL, "left what disturbs what as it usually is");
    }

    private void replace(@Nullable String edition, StaleGraph graph, String summary) {
        journal.judge(() -> {
            StaleGraph now = record.graph();
            if (edition != null && !edition.equals(StaleGraphResponse.edition(now))) {
                throw new ConflictException("Somebody else has changed what disturbs what.", 0, List.of());
            }
            if (now.equals(graph)) {
                return null;
            }
            record.write(graph);
            return summary;
        });
    }

    @AnyHand
    CarriedResponse of(String work) {
        StaleGraphRepository.Carrier carrier = carrier(work);
        StaleGraph graph = record.graph();
        List<Disturbance> disturbances = graph.of(carrier.carried(), carrier.name());
        return new CarriedResponse(
                carrier.carried().said(),
                disturbances.stream().map(Disturbance::id).toList(),
                graph.stale(disturbances).stream().map(Measured::label).toList());
    }

    @LeadOrManager
    void carry(String work, CarriedRequest form) {
        journal.judge(() -> {
            StaleGraphRepository.Carrier carrier = carrier(work);
            StaleGraph graph = record.graph();
            if (form.disturbances() == null) {
                record.carry(work, StaleGraph.Carried.BY_WORDS);
                return "let the words of " + carrier.name() + " say what it disturbs";
            }
            Set<String> known =
                    graph.disturbances().stream().map(Disturbance::id).collect(Collectors.toSet());
            if (!known.containsAll(form.disturbances())) {
                throw new ValidationException("disturbances", "One of these is not there any more. Look again.");
            }
            StaleGraph.Carried carried = new StaleGraph.Carried(true, Set.copyOf(form.disturbances()));
            record.carry(work, carried);
            String said = graph.of(carried, carrier.name()).stream()
                    .map(Disturbance::label)
                    .collect(Collectors.joining(", "));
            return carrier.name() + " disturbs " + (said.isEmpty() ? "nothing" : said);
        });
    }

    /** The names of the kinds of work that disturb what was measured. */
    public Set<String> labels() {
        return record.graph().disturbances().stream().map(Disturbance::label).collect(Collectors.toSet());
    }

    /** What somebody has said of the work of a build, by its id: the names of what it is; of the others their words say. */
    public Map<String, Set<String>> carried(String build) {
        StaleGraph graph = record.graph();
        Map<String, Set<String>> all = new HashMap<>();
        for (StaleGraphRepository.Carrier carrier : record.saidOf(build)) {
            all.put(
                    carrier.id(),
                    graph.of(carrier.carried(), carrier.name()).stream()
                            .map(Disturbance::label)
                            .collect(Collectors.toSet()));
        }
        return all;
    }

    /** Writes down, within the change that is open, what pieces of work are by name; a name that is not known is nothing. */
    public void carry(Map<String, Set<String>> labels) {
        StaleGraph graph = record.graph();
        labels.forEach((work, kinds) -> record.carry(
                work,
                new StaleGraph.Carried(
                        true,
                        graph.disturbances().stream()
                                .filter(d -> kinds.stream().anyMatch(k -> k.equalsIgnoreCase(d.label())))
                                .map(Disturbance::id)
                                .collect(Collectors.toSet()))));
    }

    /**
     * A piece of work and what it makes stale once it is done.
     *
     * @param disturbed in the order in which it must be measured anew
     */
    public record Disturbs(String name, String buildId, List<Measured> disturbed) {}

    /** What a piece of work makes stale; asked within the change that finishes it. */
    public Disturbs disturbedBy(String work) {
        StaleGraphRepository.Carrier carrier = carrier(work);
        StaleGraph graph = record.graph();
        return new Disturbs(
                carrier.name(), carrier.buildId(), graph.stale(graph.of(carrier.carried(), carrier.name())));
    }

    private StaleGraphRepository.Carrier carrier(String work) {
        return record.carrier(work).orElseThrow(() -> new NotFoundException("job or outside work"));
    }
}
