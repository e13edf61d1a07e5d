package galecrest.core.build;

/** What may not be worked on while something cures. */
public enum CureLock {
    NOTHING,
    ZONE,
    WHOLE_CAR
}
