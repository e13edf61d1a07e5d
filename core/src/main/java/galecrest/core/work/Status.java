package galecrest.core.work;

/** How far a piece of work is. */
public enum Status {
    TODO,
    STARTED,
    DONE
}
