package galecrest.core.season;

/**
 * From when on the house warns that somebody is at it for too long. What the law says of working hours stands above it.
 *
 * @param mostDays days in a row, 1 to 60
 * @param mostNights nights in a row away or at work past {@link #LATE}, 1 to 60
 * @param mostHours hours in any seven days, 1 to 168
 * @param eventHours what a day away with a car counts as, 0 to 24 h
 */
public record StretchRule(int mostDays, int mostNights, int mostHours, int eventHours) {
    /** Work from this hour on makes a night. */
    public static final int LATE = 22;

    public StretchRule {
        if (mostDays < 1 || mostDays > 60 || mostNights < 1 || mostNights > 60) {
            throw new IllegalArgumentException("Days and nights in a row are 1 to 60.");
        }
        if (mostHours < 1 || mostHours > 168) {
            throw new IllegalArgumentException("Hours in seven days are 1 to 168.");
        }
        if (eventHours < 0 || eventHours > 24) {
            throw new IllegalArgumentException("A day at an event counts as 0 to 24 h.");
        }
    }

    /** What holds while nobody says otherwise; a judgement of ours. */
    public static StretchRule usual() {
        return new StretchRule(12, 4, 60, 10);
    }
}
