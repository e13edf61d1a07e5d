package galecrest.core.work;

/** What may not be worked on while something cures. */
public enum CureLock {
    NOTHING,
    ZONE,
    WHOLE_CAR
}
