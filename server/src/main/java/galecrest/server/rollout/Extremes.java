package galecrest.server.rollout;

import galecrest.core.rollout.ChannelLimit;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import java.util.Comparator;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The nearest that each channel came to its limit while a try went on, as this instance has seen it. */
@Component
class Extremes {
    private final Map<String, Map<ChannelLimit, Double>> byAttempt = new ConcurrentHashMap<>();

    void saw(String attempt, ChannelLimit limit, double value) {
        byAttempt
                .computeIfAbsent(attempt, a -> new ConcurrentHashMap<>())
                .merge(limit, value, limit.least() ? Math::min : Math::max);
    }

    /** In words: "oil pressure 1.62 bar at least, water 94 °C at most". */
    String said(String attempt) {
        return byAttempt.getOrDefault(attempt, Map.of()).entrySet().stream()
                .sorted(Comparator.comparing(e -> e.getKey().channel()))
                .map(e -> e.getKey().label() + " "
                        + QuantityText.say(e.getKey().kind(), e.getValue(), UnitSystem.METRIC)
                        + (e.getKey().least() ? " at least" : " at most"))
                .collect(Collectors.joining(", "));
    }

    void forget(String attempt) {
        byAttempt.remove(attempt);
    }
}
