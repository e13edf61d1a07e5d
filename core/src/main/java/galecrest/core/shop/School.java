package galecrest.core.shop;

import galecrest.core.time.Minutes;
import java.time.Duration;

/**
 * House rules to begin from: the three schools of the trade, and one for who wants to rely on what was said. The figures
 * are ours; common practice says which way each leans, not how far.
 */
public enum School {
    NEAREST_DATE(
            "What is due next",
            "The usual rules: the nearest date first, a day in hand at each.",
            new HouseRules(
                    4,
                    2,
                    0.2,
                    0.1,
                    Duration.ofDays(14),
                    1,
                    Minutes.of(480),
                    TieBreak.NEAREST_DATE,
                    0.05,
                    Minutes.of(120))),
    OUTSIDE_FIRST(
            "Out of the door first",
            "What goes to other firms leaves early, even at some risk; two days in hand, since they keep their own time.",
            new HouseRules(
                    1.5,
                    2,
                    0.1,
                    0.1,
                    Duration.ofDays(14),
                    1,
                    Minutes.of(960),
                    TieBreak.OUTSIDE_FIRST,
                    0.08,
                    Minutes.of(120))),
    ONE_CAR_AT_A_TIME(
            "One car at a time",
            "A car that is open is finished before the next is opened; nothing is begun that may have to be redone.",
            new HouseRules(
                    8,
                    2,
                    2,
                    0.5,
                    Duration.ofDays(14),
                    1,
                    Minutes.of(480),
                    TieBreak.ONE_CAR_AT_A_TIME,
                    0.05,
                    Minutes.of(120))),
    A_QUIET_WEEK(
            "A quiet week",
            "What people were told for the next days stays, even where another plan would be a little better.",
            new HouseRules(
                    4,
                    8,
                    0.2,
                    0.1,
                    Duration.ofDays(14),
                    4,
                    Minutes.of(480),
                    TieBreak.NEAREST_DATE,
                    0.05,
                    Minutes.of(120)));

    private final String title;
    private final String why;
    private final HouseRules rules;

    School(String title, String why, HouseRules rules) {
        this.title = title;
        this.why = why;
        this.rules = rules;
    }

    /** What it is called. */
    public String title() {
        return title;
    }

    /** What it does, in a sentence. */
    public String why() {
        return why;
    }

    /** Its rules. */
    public HouseRules rules() {
        return rules;
    }
}
