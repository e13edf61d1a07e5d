package galecrest.core.shop;

import galecrest.core.time.DateStyle;
import galecrest.core.time.Minutes;
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
 * @param frozenDays so many days from today on, people are left with what they were told, unless it cannot be; 0 to 14
 * @param buffer shop hours that a date should have in hand; each hour short of it counts as an hour of a can-follow
 *     job pushed past its date
 * @param tieBreak which car goes first between equals
 * @param stayOn how long past their hours people stay on to end a job that cannot be interrupted, 0 to 8 h
 * @param returnWrong the chance that outwork comes back wrong and must go out again, 0 to 1
 * @param says how days and times are written
 */
public record HouseRules(
        double atRiskStart,
        double toldOtherwise,
        double carInBits,
        double finishDay,
        Duration unknownArrival,
        int frozenDays,
        Minutes buffer,
        TieBreak tieBreak,
        double returnWrong,
        Minutes stayOn,
        DateStyle says) {
    private static final long LONGEST_STAY = 480;

    public HouseRules {
        if (!(atRiskStart >= 0 && toldOtherwise >= 0 && carInBits >= 0 && finishDay >= 0)) {
            throw new IllegalArgumentException("The weights of the house rules must not be negative.");
        }
        if (unknownArrival.isNegative()) {
            throw new IllegalArgumentException("The assumed arrival must not be negative, not " + unknownArrival + ".");
        }
        if (!(frozenDays >= 0 && frozenDays <= 14)) {
            throw new IllegalArgumentException("The plan is frozen for 0 to 14 days, not " + frozenDays + ".");
        }
        if (!(returnWrong >= 0 && returnWrong <= 1)) {
            throw new IllegalArgumentException("A chance is between 0 and 1, not " + returnWrong + ".");
        }
        if (!(stayOn.value() >= 0 && stayOn.value() <= LONGEST_STAY)) {
            throw new IllegalArgumentException(
                    "People stay on for 0 to " + LONGEST_STAY + " min, not " + stayOn.value() + ".");
        }
        if (buffer.value() < 0) {
            throw new IllegalArgumentException("The buffer must not be negative, not " + buffer.value() + " min.");
        }
    }

    /** Rules of a shop that writes days and times in the usual way. */
    public HouseRules(
            double atRiskStart,
            double toldOtherwise,
            double carInBits,
            double finishDay,
            Duration unknownArrival,
            int frozenDays,
            Minutes buffer,
            TieBreak tieBreak,
            double returnWrong,
            Minutes stayOn) {
        this(
                atRiskStart,
                toldOtherwise,
                carInBits,
                finishDay,
                unknownArrival,
                frozenDays,
                buffer,
                tieBreak,
                returnWrong,
                stayOn,
                DateStyle.USUAL);
    }

    public static HouseRules defaults() {
        return new HouseRules(
                4.0,
                2.0,
                0.2,
                0.1,
                Duration.ofDays(14),
                1,
                Minutes.of(480),
                TieBreak.NEAREST_DATE,
                0.05,
                Minutes.of(120));
    }

    /** The same with other days on which people are left with what they were told. */
    public HouseRules withFrozenDays(int days) {
        return new HouseRules(
                atRiskStart,
                toldOtherwise,
                carInBits,
                finishDay,
                unknownArrival,
                days,
                buffer,
                tieBreak,
                returnWrong,
                stayOn,
                says);
    }

    /** Only the dates count: no weights, nothing frozen, nothing in hand. */
    public static HouseRules datesOnly() {
        return new HouseRules(
                0, 0, 0, 0, Duration.ofDays(14), 0, Minutes.ZERO, TieBreak.NEAREST_DATE, 0, Minutes.of(120));
    }
}
