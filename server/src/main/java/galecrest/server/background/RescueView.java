package galecrest.server.background;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.rescue.Rescue;
import galecrest.core.time.Minutes;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a rescue came to, or has come to so far. */
public record RescueView(int done, int all, List<Tried> tried) {
    /** Moves tried together and what they do; see {@link Rescue.Tried}. {@code moves} is for trying them. */
    public record Tried(
            JsonNode moves,
            List<String> kinds,
            List<String> words,
            @Nullable Long marginBefore,
            @Nullable Long marginAfter,
            double chanceBefore,
            double chanceAfter,
            List<Effect> others,
            List<String> told,
            double effort,
            double worth) {}

    /** What happens to another commitment. */
    public record Effect(
            String commitmentId,
            @Nullable Long marginBefore,
            @Nullable Long marginAfter,
            double chanceBefore,
            double chanceAfter) {}

    static RescueView of(ObjectMapper core, int done, int all, List<Rescue.Tried> tried) {
        return new RescueView(
                done,
                all,
                tried.stream()
                        .map(t -> new Tried(
                                core.valueToTree(new MoveList(t.moves())),
                                t.moves().stream()
                                        .map(m -> m.getClass().getSimpleName())
                                        .toList(),
                                t.words(),
                                t.marginBefore().map(Minutes::value).orElse(null),
                                t.marginAfter().map(Minutes::value).orElse(null),
                                t.chanceBefore(),
                                t.chanceAfter(),
                                t.others().stream()
                                        .map(e -> new Effect(
                                                e.commitment().value(),
                                                e.marginBefore()
                                                        .map(Minutes::value)
                                                        .orElse(null),
                                                e.marginAfter()
                                                        .map(Minutes::value)
                                                        .orElse(null),
                                                e.chanceBefore(),
                                                e.chanceAfter()))
                                        .toList(),
                                t.told().stream().map(p -> p.value()).sorted().toList(),
                                t.effort(),
                                t.worth()))
                        .toList());
    }

    /** Keeps the moves' kinds in their JSON. */
    record MoveList(List<galecrest.core.rescue.Move> moves) {}
}
