package galecrest.server.rehearse;

import galecrest.core.rehearse.Choice;
import galecrest.core.rehearse.Event;
import galecrest.core.rehearse.Luck;
import galecrest.core.rehearse.Rehearsal;
import galecrest.core.rehearse.Standing;
import galecrest.core.rehearse.Week;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A rehearsal as it is shown. */
final class RehearsalViews {
    RehearsalResponse response(
            String id,
            int turn,
            int turns,
            Luck luck,
            Rehearsal week,
            List<Event> events,
            List<Choice> choices,
            List<Week.Decision> decisions,
            boolean weighing,
            Week.@Nullable Comparison end) {
        Map<CommitmentId, Long> margins = margins(week.standings());
        return new RehearsalResponse(
                id,
                week.shop().now(),
                turn,
                turns,
                luck.weather(),
                events.stream()
                        .map(e -> new RehearsalResponse.EventView(e.at(), e.said(), e.bad()))
                        .toList(),
                week.shop().commitments().stream()
                        .sorted(Comparator.comparingLong(
                                (Commitment c) -> margins.getOrDefault(c.id(), Long.MIN_VALUE)))
                        .map(c -> new RehearsalResponse.DateView(
                                c.id().value(), c.build().value(), c.name(), c.due(), margins.get(c.id())))
                        .toList(),
                choices.stream()
                        .map(c -> new RehearsalResponse.ChoiceView(
                                c.id(), c.said(), c.date().value(), c.wins(), c.gains(), c.effort()))
                        .toList(),
                decisions.stream()
                        .map(d -> new RehearsalResponse.DecisionView(d.turn(), d.said()))
                        .toList(),
                weighing,
                end == null ? null : end(end));
    }

    private static Map<CommitmentId, Long> margins(List<Standing> standings) {
        Map<CommitmentId, Long> margins = new HashMap<>();
        standings.forEach(s -> s.margin().map(Minutes::value).ifPresent(m -> margins.put(s.date(), m)));
        return margins;
    }

    private static RehearsalResponse.EndView end(Week.Comparison end) {
        Map<CommitmentId, Long> planners = margins(end.planners().standings());
        Map<CommitmentId, Long> idle = margins(end.idle().standings());
        return new RehearsalResponse.EndView(
                end.yours().lateness(),
                end.planners().lateness(),
                end.idle().lateness(),
                end.yours().standings().stream()
                        .map(s -> new RehearsalResponse.EndDate(
                                s.date().value(),
                                s.margin().map(Minutes::value).orElse(null),
                                planners.get(s.date()),
                                idle.get(s.date())))
                        .toList(),
                end.costs().stream()
                        .map(c -> new RehearsalResponse.CostView(
                                c.decision().turn(), c.decision().said(), c.hours()))
                        .toList());
    }
}
