package galecrest.server.rehearse;

import galecrest.core.rehearse.Luck;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A rehearsal at a turn.
 *
 * @param now the moment in it
 * @param events what has happened since the turn before
 * @param dates how the dates stand, those with the least to spare first
 * @param choices what could be decided; empty at the end
 * @param weighing whether the week is being compared with what the planner would have come to
 */
record RehearsalResponse(
        String id,
        Instant now,
        int turn,
        int turns,
        Luck.Weather weather,
        List<EventView> events,
        List<DateView> dates,
        List<ChoiceView> choices,
        List<DecisionView> decisions,
        boolean weighing,
        @Nullable EndView end) {
    /** @param bad whether it is worse than was thought */
    record EventView(Instant at, String said, boolean bad) {}

    record DateView(
            String id,
            String buildId,
            String name,
            Instant due,
            @Nullable Long marginMinutes) {}

    /**
     * @param wins hours by which less is late, all dates together
     * @param gains hours by which its own date has more to spare
     * @param effort hours of effort
     */
    record ChoiceView(String id, String said, String dateId, double wins, double gains, double effort) {}

    record DecisionView(int turn, String said) {}

    /**
     * How it came out: hours late, all dates together by how much each matters, with what was decided, by the planner's own
     * decisions, and with none.
     */
    record EndView(double yours, double planners, double idle, List<EndDate> dates, List<CostView> costs) {}

    record EndDate(
            String id,
            @Nullable Long yours,
            @Nullable Long planners,
            @Nullable Long idle) {}

    /** @param hours that the decision cost; negative where it saved them */
    record CostView(int turn, String said, double hours) {}
}
