package galecrest.core.risk;

import galecrest.core.parts.PartId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.work.WorkId;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Says what odds say in sentences. */
public final class RiskText {
    private final ReasonText words;

    /** Says it with the names and times of the words. */
    public RiskText(ReasonText words) {
        this.words = words;
    }

    /** That a job may run past the day of who is to do it: "hang wing does not fit Mara's hours in 9 %". */
    public String overrun(RiskProfile.Overrun overrun, Plan.@Nullable Placed placed) {
        String whose = placed == null || placed.crew().isEmpty()
                ? "the hours of the day"
                : placed.crew().stream().map(words::person).collect(Collectors.joining(" and ")) + "'s hours";
        return words.work(overrun.work()) + " does not fit " + whose + " in " + Math.round(100 * overrun.share())
                + " %";
    }

    /** An uncertainty in words. */
    public String driver(RiskProfile.Driver driver) {
        return switch (driver.what()) {
            case WORK -> "how long " + words.work(new WorkId(driver.id())) + " takes";
            case FINDINGS -> "whether " + words.work(new WorkId(driver.id())) + " finds more to do";
            case OUTWORK -> "when " + words.work(new WorkId(driver.id())) + " comes back, and whether right";
            case PART -> "when " + words.part(new PartId(driver.id())) + " comes";
            case AT_RISK -> "whether a start at risk must be done again";
        };
    }
}
