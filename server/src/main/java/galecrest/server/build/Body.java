package galecrest.server.build;

/** Outline of a car from above. */
public enum Body {
    SALOON,
    COUPE,
    HATCH,
    ROADSTER,
    SINGLE_SEATER,
    TRUCK
}
