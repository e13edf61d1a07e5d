package galecrest.core.build;

/** A line the car may not cross until its checks are met, in the order in which a car comes to them. */
public enum Gate {
    POWER_UP,
    FIRST_FIRE,
    GROUND,
    TUNER,
    ROLL_OUT,
    TEST,
    EVENT;

    /** Whether work for this gate must be done before the car may cross {@code other}. */
    public boolean upTo(Gate other) {
        return compareTo(other) <= 0;
    }
}
