package galecrest.server.plan;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import galecrest.core.time.Span;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.LinkId;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A published plan as it is kept: what people were told (who does what when, and what that made of the dates), without the
 * reasons, which are derived again with each new plan.
 */
public record StoredPlan(
        Instant madeFor,
        List<Told> told,
        @Nullable List<ToldDate> dates,
        @Nullable List<String> early) {
    /** What people were told of one piece of work. */
    record Told(
            String work,
            Instant start,
            Instant end,
            Instant ready,
            List<Instant[]> at,
            List<String> crew,
            @Nullable String station) {}

    /** What a date looked like in it. */
    record ToldDate(
            String commitment,
            @Nullable Instant finish,
            @Nullable Long marginMinutes) {}

    public static String write(ObjectMapper json, Plan plan) {
        StoredPlan stored = new StoredPlan(
                plan.madeFor(),
                plan.placed().stream()
                        .map(p -> new Told(
                                p.work().value(),
                                p.start(),
                                p.end(),
                                p.ready(),
                                p.at().stream()
                                        .map(s -> new Instant[] {s.from(), s.to()})
                                        .toList(),
                                p.crew().stream().map(PersonId::value).toList(),
                                p.station().map(StationId::value).orElse(null)))
                        .toList(),
                plan.outlooks().stream()
                        .map(o -> new ToldDate(
                                o.commitment().value(),
                                o.finish().orElse(null),
                                o.margin().map(Minutes::value).orElse(null)))
                        .toList(),
                plan.startedAtRisk().stream().map(LinkId::value).toList());
        try {
            return json.writeValueAsString(stored);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    public static Plan read(ObjectMapper json, String text) {
        try {
            StoredPlan stored = json.readValue(text, StoredPlan.class);
            List<Plan.Placed> placed = stored.told().stream()
                    .map(t -> new Plan.Placed(
                            new WorkId(t.work()),
                            t.start(),
                            t.end(),
                            t.ready(),
                            t.at().stream().map(s -> new Span(s[0], s[1])).toList(),
                            t.crew().stream().map(PersonId::new).toList(),
                            Optional.ofNullable(t.station()).map(StationId::new),
                            false,
                            new Because.Nothing()))
                    .toList();
            List<Plan.Outlook> dates = Optional.ofNullable(stored.dates()).orElse(List.of()).stream()
                    .map(d -> new Plan.Outlook(
                            new CommitmentId(d.commitment()),
                            Optional.ofNullable(d.finish()),
                            Optional.ofNullable(d.marginMinutes()).map(Minutes::of),
                            List.of(),
                            List.of()))
                    .toList();
            List<LinkId> early = Optional.ofNullable(stored.early()).orElse(List.of()).stream()
                    .map(LinkId::new)
                    .toList();
            return new Plan(stored.madeFor(), placed, List.of(), List.of(), early, List.of(), dates, Score.NONE);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The published plan cannot be read.", e);
        }
    }
}
