package galecrest.core.planner.problem;

/**
 * How a piece of work claims its car, as a number, since claims are kept in columns of numbers: on it beside others, the
 * whole of it, away with it, or a zone or all of it while something cures.
 */
public final class CarClaim {
    public static final int ON_CAR = 0;
    public static final int WHOLE_CAR = 1;
    public static final int AWAY = 2;
    public static final int CURING_ZONE = 3;
    public static final int CURING_CAR = 4;

    private CarClaim() {}

    private static boolean curing(int hold) {
        return hold >= CURING_ZONE;
    }

    /** How a claim is in the way of what takes the car as a whole. */
    public static int ofWhole(int hold) {
        return hold == ON_CAR ? WHOLE_CAR : hold;
    }

    /** Whether two claims on one car cannot be there at the same time. */
    public static boolean excludes(int a, int zoneA, int stationA, int b, int zoneB, int stationB) {
        if (curing(a) && curing(b)) {
            return false;
        }
        if (a != ON_CAR && a != CURING_ZONE || b != ON_CAR && b != CURING_ZONE) {
            return true;
        }
        if (curing(a) || curing(b)) {
            return zoneA == zoneB;
        }
        return stationA >= 0 && stationB >= 0 && stationA != stationB;
    }
}
