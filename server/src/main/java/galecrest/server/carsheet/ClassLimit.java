package galecrest.server.carsheet;

/** A line of a class, as the gauge {@code class-check} takes it. */
record ClassLimit(String measure, String kind, String least, String most, String tolerance) {}
