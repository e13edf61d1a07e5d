package galecrest.server.forecast;

/** What holds a piece of work that is not only for want of hands, who can release it, how much waits behind it. */
public record HeldUp(String workId, String said, String release, int behind) {}
