package galecrest.core.gauge.chassis;

/**
 * What four pads say of a car. Each load in kg, in the order of {@link Corner}.
 *
 * <p>Cross is the share of the right front and the left rear wheel (wedge); the other school takes the left front and the
 * right rear one, and both add up to the whole.
 */
public record CornerWeights(double leftFront, double rightFront, double leftRear, double rightRear) {
    /** Of an array in the order of {@link Corner}. */
    public static CornerWeights of(double[] pads) {
        return new CornerWeights(pads[0], pads[1], pads[2], pads[3]);
    }

    public double[] pads() {
        return new double[] {leftFront, rightFront, leftRear, rightRear};
    }

    public double total() {
        return leftFront + rightFront + leftRear + rightRear;
    }

    /** The share of the front axle, 0 to 1. */
    public double front() {
        return (leftFront + rightFront) / total();
    }

    /** The share of the left side. */
    public double left() {
        return (leftFront + leftRear) / total();
    }

    /** The share of the right front and the left rear wheel. */
    public double cross() {
        return (rightFront + leftRear) / total();
    }

    /** The share of the left front and the right rear wheel: cross by the other school. */
    public double otherCross() {
        return 1 - cross();
    }

    /** By how much the diagonal of the right front wheel is heavier than the other, kg. */
    public double diagonalDifference() {
        return rightFront + leftRear - leftFront - rightRear;
    }
}
