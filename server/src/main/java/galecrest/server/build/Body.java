package galecrest.server.build;

/** Outline of a car from above; none of work without a car: for stock, tools, the trailer, the building, errands. */
public enum Body {
    SALOON,
    COUPE,
    HATCH,
    ROADSTER,
    SINGLE_SEATER,
    TRUCK,
    NONE
}
