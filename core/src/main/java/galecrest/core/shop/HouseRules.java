package galecrest.core.shop;

import java.time.Duration;

/**
 * What the shop has settled for its plans. The weights make one sum of what is compared after lateness: each is the
 * harm of one unit, in hours of a can-follow job pushed past its date.
 *
 * @param atRiskStart harm of one start before the work it depends on is certain
 * @param toldOtherwise harm of one person-day told otherwise, today; it falls to a fifth over five working days
 * @param carInBits harm of one car standing opened for one day
 * @param finishDay harm of one day until a build is finished
 * @param unknownArrival how long a part without any date is assumed to take
 */
public record HouseRules(
        double atRiskStart, double toldOtherwise, double carInBits, double finishDay, Duration unknownArrival) {
    public HouseRules {
        if (!(atRiskStart >= 0 && toldOtherwise >= 0 && carInBits >= 0 && finishDay >= 0)) {
            throw new IllegalArgumentException("The weights of the house rules must not be negative.");
        }
        if (unknownArrival.isNegative()) {
            throw new IllegalArgumentException("The assumed arrival must not be negative, not " + unknownArrival + ".");
        }
    }

    public static HouseRules defaults() {
        return new HouseRules(4.0, 2.0, 0.2, 0.1, Duration.ofDays(14));
    }
}
