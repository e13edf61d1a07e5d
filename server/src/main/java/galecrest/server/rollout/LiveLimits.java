package galecrest.server.rollout;

import galecrest.core.rollout.Attempt;
import galecrest.core.rollout.ChannelLimit;
import galecrest.core.rollout.RollOutStep;
import galecrest.core.units.QuantityKind;
import galecrest.server.access.AnyHand;
import galecrest.server.device.DeviceService;
import galecrest.server.journal.Journal;
import galecrest.server.step.RollOutStepService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;

/** What the logger says of the channels that a step is watched for. */
@Service
class LiveLimits {
    /** An engine that turns no faster than this stands, or is being cranked: common practice. Revolutions a second. */
    private static final double TURNS = 400 / 60.0;

    private final RollOutRepository record;
    private final RollOutStepService steps;
    private final DeviceService devices;
    private final Extremes extremes;
    private final Journal journal;

    LiveLimits(
            RollOutRepository record,
            RollOutStepService steps,
            DeviceService devices,
            Extremes extremes,
            Journal journal) {
        this.record = record;
        this.steps = steps;
        this.devices = devices;
        this.extremes = extremes;
        this.journal = journal;
    }

    /** The channels of the step whose try is open on the car; none where no try is open. */
    @AnyHand
    List<LiveResponse> live(String build) {
        Map<String, DeviceService.Channel> channels = devices.channels("logger");
        return record.attempts(build).stream()
                .filter(k -> k.attempt().isOpen())
                .findFirst()
                .map(k -> limits(k).stream().map(l -> response(l, channels)).toList())
                .orElse(List.of());
    }

    private List<ChannelLimit> limits(RollOutRepository.Kept kept) {
        return steps.of(kept.buildId()).stream()
                .filter(s -> s.key().equals(kept.attempt().step()))
                .findFirst()
                .map(RollOutStep::channels)
                .orElse(List.of());
    }

    private static LiveResponse response(ChannelLimit limit, Map<String, DeviceService.Channel> channels) {
        DeviceService.Channel channel = channels.get(limit.channel());
        OptionalDouble value = channel == null ? OptionalDouble.empty() : channel.value();
        return new LiveResponse(
                limit.label(),
                channel == null ? "" : channel.said(),
                (limit.least() ? "at least " : "at most ") + limit.said(),
                limit.least(),
                value.isPresent() ? share(limit, value.getAsDouble()) : null,
                value.isEmpty(),
                beyond(limit, channels).orElse(null));
    }

    /** Between nothing and the limit; of a temperature nothing is 0 °C. */
    private static double share(ChannelLimit limit, double value) {
        double nothing = limit.kind() == QuantityKind.TEMPERATURE ? 273.15 : 0;
        return (value - nothing) / (limit.bound() - nothing);
    }

    /** What is wrong with a channel now; empty where it is within, silent, or does not count while the engine stands. */
    private static Optional<String> beyond(ChannelLimit limit, Map<String, DeviceService.Channel> channels) {
        DeviceService.Channel channel = channels.get(limit.channel());
        if (channel == null || channel.value().isEmpty() || limit.running() && !turns(channels)) {
            return Optional.empty();
        }
        return limit.beyond(channel.value().getAsDouble());
    }

    private static boolean turns(Map<String, DeviceService.Channel> channels) {
        DeviceService.Channel speed = channels.get(ChannelLimit.ENGINE_SPEED);
        return speed != null && speed.value().orElse(0) > TURNS;
    }

    /** Of each try that goes on what is wrong now, by its id; keeps the nearest that each channel came to its limit. */
    Map<String, String> look() {
        List<RollOutRepository.Kept> going = record.goingOn();
        if (going.isEmpty()) {
            return Map.of();
        }
        Map<String, DeviceService.Channel> channels = devices.channels("logger");
        Map<String, String> wrong = new HashMap<>();
        for (RollOutRepository.Kept kept : going) {
            Attempt attempt = kept.attempt();
            for (ChannelLimit limit : limits(kept)) {
                DeviceService.Channel channel = channels.get(limit.channel());
                if (channel != null && (!limit.running() || turns(channels))) {
                    channel.value().ifPresent(v -> extremes.saw(attempt.id(), limit, v));
                }
                beyond(limit, channels)
                        .filter(said -> attempt.stop().isEmpty())
                        .ifPresent(said -> wrong.putIfAbsent(attempt.id(), said));
            }
        }
        return wrong;
    }

    /** Asks all who look at the try to stop; once, whoever of the instances sees it first. */
    void askToStop(String attempt, String because) {
        journal.judge(() -> {
            boolean news = record.attempt(attempt)
                    .filter(k -> k.attempt().goesOn() && k.attempt().stop().isEmpty())
                    .isPresent();
            if (!news) {
                return null;
            }
            record.askToStop(attempt, because);
            return "the logger asks to stop: " + because;
        });
    }
}
