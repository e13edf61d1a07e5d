package galecrest.server.access;

/** What an account may do: a manager everything, a lead the work of the builds, a hand its own jobs. */
public enum Role {
    MANAGER,
    LEAD,
    HAND
}
