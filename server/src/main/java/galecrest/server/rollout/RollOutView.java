package galecrest.server.rollout;

import galecrest.core.plan.Plan;
import galecrest.core.rollout.Attempt;
import galecrest.core.rollout.ChannelLimit;
import galecrest.core.rollout.RollOut;
import galecrest.core.rollout.RollOutStep;
import galecrest.core.work.RunningIn;
import galecrest.server.component.CarUseService;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A roll-out as the screens show it. */
final class RollOutView {
    private final RollOut standing;

    RollOutView(RollOut standing) {
        this.standing = standing;
    }

    RollOutResponse response(
            List<RollOutRepository.Kept> attempts,
            List<RollOutRepository.Found> findings,
            List<RollOutResponse.FireResponse> fires,
            List<String> people,
            CarUseService.Fires counted,
            RollOutResponse.@Nullable RunningInResponse runningIn) {
        List<RollOutResponse.AttemptResponse> all = tries(attempts);
        return new RollOutResponse(
                standing.steps().stream().map(this::step).toList(),
                standing.here().map(RollOutStep::key).orElse(null),
                all.stream().filter(a -> a.ended() == null).findFirst().orElse(null),
                all.stream().filter(a -> a.ended() != null).toList(),
                findings.stream().map(RollOutView::finding).toList(),
                fires,
                people,
                counted.started(),
                counted.complete(),
                runningIn);
    }

    private RollOutResponse.StepStateResponse step(RollOutStep step) {
        Attempt none = new Attempt(
                "",
                step.key(),
                Optional.of("driver"),
                Optional.of("looker"),
                step.before().stream()
                        .map(c -> new Attempt.Tick(c, false, "", Instant.EPOCH))
                        .toList(),
                Optional.empty(),
                Optional.empty(),
                false,
                Optional.empty(),
                "");
        return new RollOutResponse.StepStateResponse(
                step.key(),
                step.name(),
                step.limits(),
                step.gate().orElse(null),
                step.gate().map(standing.passed()::contains).orElse(true),
                step.before(),
                step.after(),
                step.channels().stream().map(ChannelLimit::text).toList(),
                standing.isDone(step.key()),
                standing.of(step.key()).size(),
                standing.before(none));
    }

    private List<RollOutResponse.AttemptResponse> tries(List<RollOutRepository.Kept> attempts) {
        Map<String, Integer> counts = new HashMap<>();
        List<RollOutResponse.AttemptResponse> all = new ArrayList<>();
        for (RollOutRepository.Kept kept : attempts) {
            Attempt attempt = kept.attempt();
            Optional<RollOutStep> step = standing.step(attempt.step());
            all.add(new RollOutResponse.AttemptResponse(
                    attempt.id(),
                    attempt.step(),
                    step.map(RollOutStep::name).orElse("a step that is gone"),
                    counts.merge(attempt.step(), 1, Integer::sum),
                    attempt.driver().orElse(null),
                    attempt.looker().orElse(null),
                    attempt.ticks().stream()
                            .map(t -> new RollOutResponse.TickResponse(t.check(), t.after(), t.by(), t.at()))
                            .toList(),
                    kept.opened(),
                    attempt.went().orElse(null),
                    attempt.ended().orElse(null),
                    attempt.done(),
                    attempt.stop().orElse(null),
                    attempt.seen(),
                    kept.extremes(),
                    step.isPresent() && attempt.isOpen() ? standing.before(attempt) : List.of(),
                    standing.afterwards(attempt).orElse(null)));
        }
        return all;
    }

    private static RollOutResponse.FindingResponse finding(RollOutRepository.Found found) {
        String state = found.status() == null
                ? "job removed"
                : switch (found.status()) {
                    case "DONE" -> "job done";
                    case "STARTED" -> "job going on";
                    default -> "job open";
                };
        return new RollOutResponse.FindingResponse(
                found.id(),
                found.what(),
                found.during(),
                found.beforeStep(),
                found.workId(),
                found.isFixed(),
                state,
                found.at(),
                found.byName());
    }

    static RollOutResponse.RunningInResponse runningIn(RunningIn work, Optional<Plan.Placed> placed) {
        int left = Math.max(0, work.distanceKm() - work.doneKm());
        return new RollOutResponse.RunningInResponse(
                work.distanceKm(),
                work.doneKm(),
                work.perDayKm(),
                (left + work.perDayKm() - 1) / work.perDayKm(),
                placed.map(Plan.Placed::ready).orElse(null));
    }
}
