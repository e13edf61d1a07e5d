package galecrest.core.build;

/** A part of the car in which only so many people fit. */
public enum Zone {
    FRONT,
    ENGINE_BAY,
    COCKPIT,
    UNDERSIDE,
    REAR
}
