package galecrest.server.money;

/** What came of it. */
public enum Decision {
    OFFERED,
    ACCEPTED,
    REFUSED
}
