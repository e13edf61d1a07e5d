package galecrest.server.changeorder;

/** What came of it. */
public enum Decision {
    OFFERED,
    ACCEPTED,
    REFUSED
}
