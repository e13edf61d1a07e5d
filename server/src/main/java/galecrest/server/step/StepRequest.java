package galecrest.server.step;

import galecrest.core.build.Gate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A step as it is to be; see {@link galecrest.core.rollout.RollOutStep}.
 *
 * @param key of a step that was there before; null for a new one
 * @param channels each as it is written: "water at most 105 °C"
 */
record StepRequest(
        @Nullable String key,
        @Nullable String name,
        @Nullable String limits,
        @Nullable Gate gate,
        @Nullable List<String> before,
        @Nullable List<String> after,
        @Nullable List<String> channels) {}
