package galecrest.core.rehearse;

import galecrest.core.people.PersonId;
import galecrest.core.risk.BetaPert;
import galecrest.core.risk.CommonRandomNumbers;
import galecrest.core.risk.RiskProfile;
import galecrest.core.time.Arrival;
import galecrest.core.work.Estimate;
import galecrest.core.work.Findings;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;

/**
 * The luck of a rehearsal: how long each job really takes, when each part really comes, what is found, who is ill. It hangs
 * on what it is for and on the seed alone, so that whoever decides otherwise has the same luck in all else.
 *
 * @param seed 64 bits
 */
public record Luck(long seed, Weather weather) {
    /** How kind the week is. */
    public enum Weather {
        /** Nobody is ill, and little goes worse than was thought. */
        CALM(0, 0.75, 0),
        /** As the estimates have it. */
        USUAL(0, 1, 0.01),
        /** More goes worse than was thought, and people are ill more often. */
        ROUGH(0.3, 1, 0.04);

        private final double from;
        private final double to;
        private final double ill;

        Weather(double from, double to, double ill) {
            this.from = from;
            this.to = to;
            this.ill = ill;
        }
    }

    private double draw(RiskProfile.What what, String id) {
        double u = CommonRandomNumbers.of(seed, 0, CommonRandomNumbers.thing(what, id));
        return weather.from + u * (weather.to - weather.from);
    }

    /** Minutes that the job really takes: beta-PERT between its estimates (Malcolm and others, 1959). */
    double takes(WorkId job, Estimate estimate) {
        return BetaPert.quantile(
                draw(RiskProfile.What.WORK, job.value()),
                estimate.low().value(),
                estimate.likely().value(),
                estimate.high().value());
    }

    /** Whether the job brings more work to light. */
    boolean finds(WorkId job, Findings findings) {
        return draw(RiskProfile.What.FINDINGS, job.value()) > 1 - findings.chance();
    }

    /** When a thing really comes that is promised for that time; the same share of the way whatever is promised. */
    Instant comes(RiskProfile.What what, String id, Arrival promised) {
        double seconds = BetaPert.quantile(
                draw(what, id),
                0,
                Duration.between(promised.low(), promised.likely()).toSeconds(),
                Duration.between(promised.low(), promised.high()).toSeconds());
        return promised.low().plusSeconds(Math.round(seconds));
    }

    /** Whether the person is ill on that day. */
    boolean ill(PersonId person, LocalDate day) {
        long thing = CommonRandomNumbers.thing(RiskProfile.What.WORK, person.value() + " ill " + day);
        return CommonRandomNumbers.of(seed, 1, thing) < weather.ill;
    }
}
