package galecrest.core.gauge.chassis;

import java.util.List;

/** The corners of a car, in the order in which they stand in every list of four. */
public enum Corner {
    LEFT_FRONT("left front", 1),
    RIGHT_FRONT("right front", -1),
    LEFT_REAR("left rear", 1),
    RIGHT_REAR("right rear", -1);

    /** Their names in requests and answers. */
    public static final List<String> NAMES =
            List.of(LEFT_FRONT.label, RIGHT_FRONT.label, LEFT_REAR.label, RIGHT_REAR.label);

    private final String label;
    private final int side;

    Corner(String label, int side) {
        this.label = label;
        this.side = side;
    }

    /** The word for it. */
    public String label() {
        return label;
    }

    /** 1 on the left, −1 on the right. */
    public int side() {
        return side;
    }

    /** Whether it is at the front axle. */
    public boolean front() {
        return this == LEFT_FRONT || this == RIGHT_FRONT;
    }
}
