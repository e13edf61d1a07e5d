package galecrest.server.step;

import galecrest.core.build.Gate;
import galecrest.core.rollout.ChannelLimit;
import galecrest.core.rollout.RollOutStep;
import galecrest.server.shop.HouseList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The steps that hold.
 *
 * @param own whether they were changed for this discipline or car
 */
record StepsResponse(String edition, boolean own, List<StepResponse> steps) {
    static StepsResponse of(HouseList.Shown<RollOutStep> shown) {
        return new StepsResponse(
                shown.edition(),
                shown.own(),
                shown.items().stream().map(StepResponse::of).toList());
    }

    /** A step; see {@link RollOutStep}. */
    record StepResponse(
            String key,
            String name,
            String limits,
            @Nullable Gate gate,
            List<String> before,
            List<String> after,
            List<String> channels) {
        static StepResponse of(RollOutStep step) {
            return new StepResponse(
                    step.key(),
                    step.name(),
                    step.limits(),
                    step.gate().orElse(null),
                    step.before(),
                    step.after(),
                    step.channels().stream().map(ChannelLimit::text).toList());
        }
    }
}
