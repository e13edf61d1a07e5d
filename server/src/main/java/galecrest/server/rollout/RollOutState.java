package galecrest.server.rollout;

import galecrest.core.build.Gate;
import galecrest.core.rollout.RollOut;
import galecrest.server.step.RollOutStepService;
import java.util.Set;
import org.springframework.stereotype.Component;

/** How far a car has come, read off the record. */
@Component
class RollOutState {
    private final RollOutRepository record;
    private final RollOutStepService steps;

    RollOutState(RollOutRepository record, RollOutStepService steps) {
        this.record = record;
        this.steps = steps;
    }

    /** Its steps, tries and findings, with the gates that it has passed. */
    RollOut of(String build, Set<Gate> passed) {
        return new RollOut(
                steps.of(build),
                record.attempts(build).stream()
                        .map(RollOutRepository.Kept::attempt)
                        .toList(),
                record.findings(build).stream()
                        .map(RollOutRepository.Found::finding)
                        .toList(),
                passed);
    }
}
