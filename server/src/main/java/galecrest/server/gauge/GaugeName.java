package galecrest.server.gauge;

/** A gauge as it is offered. */
public record GaugeName(String name, String title) {}
