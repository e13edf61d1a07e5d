package galecrest.core.rollout;

import galecrest.core.build.Gate;
import java.util.List;
import java.util.Optional;

/**
 * A step from the first idle to load and speed.
 *
 * @param key what it is known by, from template to car
 * @param limits what it may not go beyond, in words: "800 m, no more than 3000 rpm, somebody at the gate"
 * @param gate that must be passed before it; empty for none
 * @param before what is checked before somebody says go
 * @param after what is checked before the step counts as done
 * @param channels what the logger is watched for meanwhile
 */
public record RollOutStep(
        String key,
        String name,
        String limits,
        Optional<Gate> gate,
        List<String> before,
        List<String> after,
        List<ChannelLimit> channels) {
    public RollOutStep {
        before = List.copyOf(before);
        after = List.copyOf(after);
        channels = List.copyOf(channels);
    }
}
