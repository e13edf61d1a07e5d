package galecrest.core.shop;

/**
 * Which car goes first where the plan is as good either way. The trade has three schools; the planner weighs all dates
 * at once, so this only decides between equals.
 */
public enum TieBreak {
    /** The car with the nearest date first. */
    NEAREST_DATE,
    /** What leads to long outside work first. */
    OUTSIDE_FIRST,
    /** One car finished before the next is begun. */
    ONE_CAR_AT_A_TIME
}
