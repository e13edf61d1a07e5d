package galecrest.core.work;

/** The leading reason why something cannot go on; the word on its tag. */
public enum ReasonTag {
    PART,
    OUT,
    HANDS,
    STATION,
    ZONE,
    CURE,
    DECIDE,
    AFTER,
    SAFETY
}
