package galecrest.core.people;

/** How well a person has a skill; a higher level can do what a lower one can. */
public enum Level {
    LEARNER,
    ABLE,
    LEAD;

    public boolean atLeast(Level least) {
        return compareTo(least) >= 0;
    }
}
