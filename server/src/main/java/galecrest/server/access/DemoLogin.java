package galecrest.server.access;

/** An account of the demo that the log-in page offers; a bean exists only in the demo profile. */
public record DemoLogin(String username, String password, String about) {}
